'use client';
import { useEffect, useReducer, useState } from 'react';
import { buildOf, frameOf } from '@/core/document/nailContext';
import type { SetDocument } from '@/core/document/document';
import type { NailName } from '@/core/model/names';
import { fingerTop_mm, fingerWidth_mm } from '@/core/picture/finger';
import type { Raster } from '@/core/picture/raster';
import { fingerOfNail } from '@/workers/planner';
import { notDrawn } from './notDrawn';
import { StillPicture } from './StillPicture';
import { FINENESS } from './usePictures';
import classes from './Finger.module.css';

interface Props {
  set: SetDocument;
  name: NailName;
  px_per_mm: number;
  /** How much of it shows below the cuticle, where the nail's picture has its middle. */
  below_mm: number;
  turn_deg: number;
  /** Where the middle of the cuticle lies, in px. */
  x: number;
  y: number;
}

/** The fingertip below a nail, drawn again only when the nail's measures or the skin change. */
export function Finger({ set, name, px_per_mm, below_mm, turn_deg, x, y }: Props) {
  const [picture, setPicture] = useState<Raster>();
  const [tries, again] = useReducer((n: number) => n + 1, 0);
  const frame = frameOf(set.nails[name], buildOf(set, set.nails[name]));
  const looks = [set.skin, frame.width_mm, frame.bed_mm, frame.arc_mm, below_mm.toFixed(2)].join();
  useEffect(() => {
    let stale = false;
    fingerOfNail({ set, name, below_mm, turn_deg }, px_per_mm * FINENESS, () => !stale).then(
      (made) => {
        if (!stale) setPicture(made);
      },
      (error: unknown) => {
        if (!stale) notDrawn(error, again);
      },
    );
    return () => {
      stale = true;
    };
    // All that its picture depends on is in `looks`.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [looks, name, px_per_mm, turn_deg, tries]);
  return (
    <div
      className={classes.finger}
      style={{
        left: x - (fingerWidth_mm(frame) / 2) * px_per_mm,
        top: y - fingerTop_mm(frame) * px_per_mm,
        transform: `rotate(${turn_deg}deg)`,
        transformOrigin: `50% ${fingerTop_mm(frame) * px_per_mm}px`,
      }}
    >
      <StillPicture picture={picture} px_per_mm={px_per_mm} />
    </div>
  );
}
