'use client';
import { useMemo, type ReactNode } from 'react';
import type { SetDocument } from '@/core/document/document';
import { nailWords } from '@/core/model/names';
import { PICTURE_PAD_MM, spreadOf, type LaidNail } from '@/core/picture/spread';
import { Finger } from './Finger';
import { NailCanvas } from './NailCanvas';
import type { Pictures } from './usePictures';
import classes from './HandsSpread.module.css';

interface Props {
  set: SetDocument;
  pictures: Pictures;
  px_per_mm: number;
  /** Wraps a nail's picture, for selecting and dropping. */
  around?: (laid: LaidNail, picture: ReactNode) => ReactNode;
}

/** The scale at which a set's spread fits a width, in steps coarse enough that pictures are not drawn anew for a pixel. */
export function spreadScale(set: SetDocument, width_px: number, most: number): number {
  const fits = width_px / spreadOf(set).width_mm;
  return Math.min(most, Math.max(1, Math.floor(fits * 10) / 10));
}

/** Ten nails lying as on two hands, true to scale, on their fingers. */
export function HandsSpread({ set, pictures, px_per_mm, around }: Props) {
  const spread = useMemo(() => spreadOf(set), [set]);
  const k = px_per_mm;
  return (
    <div className={classes.spread} style={{ width: spread.width_mm * k, height: spread.height_mm * k }}>
      {spread.nails.map((laid) => (
        <Finger
          key={laid.name}
          set={set}
          name={laid.name}
          px_per_mm={k}
          below_mm={spread.height_mm - laid.cuticle_mm + 1}
          turn_deg={laid.turn_deg}
          x={laid.x_mm * k}
          y={laid.cuticle_mm * k}
        />
      ))}
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
