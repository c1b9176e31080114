'use client';
import type { SetDocument } from '@/core/document/document';
import type { NailName } from '@/core/model/names';
import { HandsSpread } from '../kit/HandsSpread';
import { FINENESS, usePictures } from '../kit/usePictures';
import classes from './BenchView.module.css';

const PX_PER_MM = 2.1;

/** Both hands with the nails of this round ringed, and those under the lamp in its colour. */
export function BothHandsLit({
  set,
  lit,
  inLamp,
}: {
  set: SetDocument;
  lit: readonly NailName[];
  inLamp: readonly NailName[];
}) {
  const pictures = usePictures(set, PX_PER_MM * FINENESS);
  return (
    <div className={classes.hands}>
      <HandsSpread
        set={set}
        pictures={pictures}
        px_per_mm={PX_PER_MM}
        around={({ name }, picture) => (
          <span
            className={classes.onHand}
            data-lit={lit.includes(name) || undefined}
            data-lamp={inLamp.includes(name) || undefined}
          >
            {picture}
          </span>
        )}
      />
    </div>
  );
}
