'use client';
import { useId, useMemo, type CSSProperties, type ReactNode } from 'react';
import type { SetDocument } from '@/core/document/document';
import { nailWords } from '@/core/model/names';
import { PICTURE_PAD_MM, spreadOf, type Laid } from '@/core/picture/spread';
import { fingerPath } from './fingerPath';
import { NailCanvas } from './NailCanvas';
import type { Pictures } from './usePictures';
import classes from './HandsSpread.module.css';

interface Props {
  set: SetDocument;
  pictures: Pictures;
  px_per_mm: number;
  /** Wraps a nail's picture, for selecting and dropping. */
  around?: (laid: Laid, picture: ReactNode) => ReactNode;
}

/** The scale at which a set's spread fits a width, in steps coarse enough that pictures are not drawn anew for a pixel. */
export function spreadScale(set: SetDocument, width_px: number, most: number): number {
  const fits = width_px / spreadOf(set).width_mm;
  return Math.min(most, Math.max(1, Math.floor(fits * 10) / 10));
}

/** Ten nails lying as on two hands, true to scale, on the quiet shapes of their fingers. */
export function HandsSpread({ set, pictures, px_per_mm, around }: Props) {
  const spread = useMemo(() => spreadOf(set), [set]);
  const fade = useId();
  const k = px_per_mm;
  return (
    <div
      className={classes.spread}
      style={
        { width: spread.width_mm * k, height: spread.height_mm * k, '--tone': set.skin } as CSSProperties
      }
    >
      <svg
        className={classes.fingers}
        viewBox={`0 0 ${spread.width_mm} ${spread.height_mm}`}
        width={spread.width_mm * k}
        height={spread.height_mm * k}
        aria-hidden
      >
        <defs>
          <linearGradient id={fade} x1="0" y1="0" x2="0" y2="1">
            <stop offset="0.35" stopColor="#fff" />
            <stop offset="1" stopColor="#000" />
          </linearGradient>
          <mask
            id={`${fade}m`}
            maskUnits="userSpaceOnUse"
            x="0"
            y="0"
            width={spread.width_mm}
            height={spread.height_mm}
          >
            <rect width={spread.width_mm} height={spread.height_mm} fill={`url(#${fade})`} />
          </mask>
        </defs>
        <g mask={`url(#${fade}m)`}>
          {spread.nails.map((laid) => (
            <path
              key={laid.name}
              d={fingerPath(laid, spread.height_mm)}
              className={classes.finger}
              transform={`rotate(${laid.turn_deg} ${laid.x_mm} ${laid.cuticle_mm})`}
            />
          ))}
        </g>
      </svg>
      {spread.nails.map((laid) => {
        const picture = (
          <NailCanvas picture={pictures[laid.name]} px_per_mm={k} label={nailWords(laid.name)} />
        );
        const width = (laid.width_mm + 2 * PICTURE_PAD_MM) * k;
        const height = (laid.length_mm + 2 * PICTURE_PAD_MM) * k;
        return (
          <div
            key={laid.name}
            className={classes.nail}
            style={{
              left: laid.x_mm * k - width / 2,
              top: (laid.cuticle_mm - laid.length_mm - PICTURE_PAD_MM) * k,
              width,
              height,
              transform: `rotate(${laid.turn_deg}deg)`,
              transformOrigin: `50% ${(laid.length_mm + PICTURE_PAD_MM) * k}px`,
            }}
          >
            {around ? around(laid, picture) : picture}
          </div>
        );
      })}
    </div>
  );
}
