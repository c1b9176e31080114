'use client';
import { useEffect, useState } from 'react';
import type { SetDocument } from '@/core/model/document';
import { NAILS } from '@/core/model/names';
import { getPlanner } from '@/workers/planner';
import { HandsSpread } from '../kit/HandsSpread';
import { FINENESS, type Pictures } from '../kit/usePictures';

const PX_PER_MM = 3.3;

/** A set as two small hands, drawn from its real plan. */
export function LittleHands({ set, revision }: { set: SetDocument; revision: number }) {
  const [pictures, setPictures] = useState<Pictures>({});
  useEffect(() => {
    let stale = false;
    async function draw() {
      for (const name of NAILS) {
        const picture = await getPlanner().preview(set, name, PX_PER_MM * FINENESS);
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
  }, [set.id, revision]);
  return <HandsSpread set={set} pictures={pictures} px_per_mm={PX_PER_MM} />;
}
