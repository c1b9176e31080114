import type { Operation, Stage } from './operation';

/** A run of steps of one stage, as a heading stands over them. */
export interface StageGroup {
  stage: Stage;
  words: string;
  /** Places in the order, first to last. */
  from: number;
  to: number;
  hand_s: number;
}

const WORDS: Record<Stage, string> = {
  ahead: 'Made ahead',
  arrive: 'Before the work',
  prepare: 'Preparing',
  foundation: 'Foundation',
  body: 'Build',
  shape: 'Filing',
  surface: 'Art',
  seal: 'Top',
  over: 'On the top',
  care: 'Care',
};

/** What is the same on every nail, and seldom looked at. */
export function isPreparing(stage: Stage): boolean {
  return stage === 'arrive' || stage === 'prepare';
}

/** The steps of a nail under headings. Arriving and preparing are one; a stage that comes again has another heading. */
export function stageGroups(operations: readonly Pick<Operation, 'stage' | 'hand_s'>[]): StageGroup[] {
  const groups: StageGroup[] = [];
  operations.forEach(({ stage, hand_s }, i) => {
    const last = groups.at(-1);
    const same = last && (last.stage === stage || (isPreparing(last.stage) && isPreparing(stage)));
    if (same) {
      last.to = i;
      last.hand_s += hand_s;
      if (last.stage !== stage) Object.assign(last, { stage, words: WORDS[stage] });
    } else groups.push({ stage, words: WORDS[stage], from: i, to: i, hand_s });
  });
  return groups;
}
