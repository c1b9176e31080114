'use client';
import { useCallback, useMemo } from 'react';
import type { SetDocument } from '@/core/document/document';
import { dayWords } from '@/core/model/days';
import { nailWords, type NailName } from '@/core/model/names';
import type { Worn } from '@/core/model/wear';
import { agingDays, weakestOf } from '@/core/wear/aging';
import type { Due, Growth } from '@/core/wear/growth';
import { daysBetween } from '@/core/wear/held';
import { agingFor } from '@/workers/planner';
import { late } from '../kit/late';
import { useAnswer } from '../kit/useAnswer';
import classes from './WearView.module.css';

const AgingCharts = late(() => import('./AgingCharts').then((one) => one.AgingCharts), 'The charts', {
  instead: () => <p className={classes.soft}>The charts could not be loaded; the words say the same.</p>,
});

interface Props {
  set: SetDocument;
  worn: Worn;
  due: Due;
  growth: Growth;
  /** Shown beside the weakest. */
  nail: NailName;
}

/** What growing out does to the nails: their thickest part moves off the place where it is wanted. */
export function GrowsOut({ set, worn, due, growth, nail }: Props) {
  const { mm_a_day, measured } = growth;
  const { nails } = worn;
  const until = daysBetween(worn.made_on, due.to);
  const answer = useAnswer(
    useCallback(
      () => agingFor(set, { nails }, agingDays(until), { mm_a_day, measured }),
      [set, nails, until, mm_a_day, measured],
    ),
  );
  const shown = useMemo(() => {
    if (!answer || answer === 'failed') return undefined;
    const weakest = weakestOf(answer);
    if (!weakest) return undefined;
    return [weakest, ...answer.filter((one) => one.nail === nail && one !== weakest)];
  }, [answer, nail]);
  const weakest = shown?.[0];
  if (!weakest) return null;
  const [first, last] = [weakest.by_day[0]!, weakest.by_day.at(-1)!];
  return (
    <>
      <p data-testid="weakest">
        On {dayWords(due.to)} the {nailWords(weakest.nail)} carries {last.carries} of what a usual natural
        nail does, the least of all; new it carried {first.carries}. Its thickest part lies {last.apex_at_mm}{' '}
        mm from the cuticle then, where it was {first.apex_at_mm}.
      </p>
      <AgingCharts aging={shown} made_on={worn.made_on} due={due} />
    </>
  );
}
