'use client';
import { useEffect, useState } from 'react';
import type { SetDocument } from '@/core/model/document';
import { NAILS } from '@/core/model/names';
import { getPlanner } from '@/workers/planner';
import { HandsSpread, spreadScale } from '../kit/HandsSpread';
import { FINENESS, type Pictures } from '../kit/usePictures';

/** A set as two small hands, drawn from its real plan. */
export function LittleHands({ set, revision, width }: { set: SetDocument; revision: number; width: number }) {
  const px_per_mm = spreadScale(set, width, 6.4);
  const [pictures, setPictures] = useState<Pictures>({});
  useEffect(() => {
    let stale = false;
    async function draw() {
      for (const name of NAILS) {
        const picture = await getPlanner().preview(set, name, px_per_mm * FINENESS);
        if (stale) return;
        setPictures((before) => ({ ...before, [name]: picture }));
      }
    }
    void draw();
    return () => {
      stale = true;
    };
    // The document object is new with every read of the store; the revision says when it differs.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [set.id, revision, px_per_mm]);
  return <HandsSpread set={set} pictures={pictures} px_per_mm={px_per_mm} />;
}
