'use client';
import { useEffect, useReducer, useState } from 'react';
import type { SetDocument } from '@/core/document/document';
import type { NailName } from '@/core/model/names';
import type { HandWipe } from '@/core/timing/problem';
import { stageOf } from '@/workers/planner';
import type { Stage } from '@/workers/plannerApi';
import { notDrawn } from '../kit/notDrawn';
import { useStudio } from '../studio/studio';

const NO_WIPES: readonly HandWipe[] = [];

/** A nail part-way through its work, drawn again with each step that is chosen. */
export function useStage(
  set: SetDocument,
  nail: NailName,
  count: number,
  done: number,
  px_per_mm: number,
): { stage: Stage | undefined } {
  const wipes = useStudio((s) => s.plan?.sitting.wipes) ?? NO_WIPES;
  const [stage, setStage] = useState<Stage>();
  const [tries, again] = useReducer((n: number) => n + 1, 0);
  useEffect(() => {
    if (count === 0) return undefined;
    let stale = false;
    stageOf(set, nail, wipes, done, px_per_mm).then(
      (made) => {
        if (!stale) setStage(made);
      },
      (error: unknown) => {
        if (stale) return;
        setStage(undefined);
        notDrawn(error, again);
      },
    );
    return () => {
      stale = true;
    };
  }, [nail, set, done, count, wipes, px_per_mm, tries]);
  return { stage };
}
