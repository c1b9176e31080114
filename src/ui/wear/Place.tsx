'use client';
import type { SetDocument } from '@/core/document/document';
import { buildOf, frameOf } from '@/core/document/nailContext';
import type { NailName } from '@/core/model/names';
import type { Spot } from '@/core/model/wear';
import { PICTURE_PAD_MM } from '@/core/picture/spread';
import { NailCanvas } from '../kit/NailCanvas';
import { FINENESS, usePicture } from '../kit/usePictures';
import classes from './WearView.module.css';

const PX_PER_MM = 9;

/** The nail, large: where it happened is pressed on it. */
export function Place({
  set,
  nail,
  at,
  onAt,
}: {
  set: SetDocument;
  nail: NailName;
  at: Spot | null;
  onAt: (at: Spot) => void;
}) {
  const picture = usePicture(set, nail, PX_PER_MM * FINENESS);
  const frame = frameOf(set.nails[nail], buildOf(set, set.nails[nail]));
  const width = picture ? picture.width / picture.px_per_mm : frame.arc_mm + 2 * PICTURE_PAD_MM;
  const height = frame.length_mm + 2 * PICTURE_PAD_MM;
  const half = width / 2 - PICTURE_PAD_MM;
  return (
    <button
      type="button"
      className={classes.place}
      aria-label={at ? 'Where it happened: noted' : 'Where it happened'}
      style={{ width: width * PX_PER_MM, height: height * PX_PER_MM }}
      onClick={(event) => {
        const box = event.currentTarget.getBoundingClientRect();
        // By the keyboard the middle is taken.
        const by =
          event.detail === 0
            ? { x: 0.5, y: 0.5 }
            : { x: (event.clientX - box.left) / box.width, y: (event.clientY - box.top) / box.height };
        const x_mm = by.x * width - width / 2;
        const y_mm = height - PICTURE_PAD_MM - by.y * height;
        const within = (value: number, low: number) =>
          Math.round(Math.max(low, Math.min(1, value)) * 100) / 100;
        onAt({ across: within(x_mm / half, -1), along: within(y_mm / frame.length_mm, 0) });
      }}
    >
      <NailCanvas picture={picture} px_per_mm={PX_PER_MM} label="" />
      {at && (
        <span
          className={classes.spot}
          style={{
            left: (at.across * half + width / 2) * PX_PER_MM,
            top: (height - PICTURE_PAD_MM - at.along * frame.length_mm) * PX_PER_MM,
          }}
        />
      )}
    </button>
  );
}
