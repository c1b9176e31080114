import type { Progress } from '@/core/bench/progress';
import type { SetDocument } from '@/core/document/document';
import { NAILS, nailWords } from '@/core/model/names';
import { couldReplace, ranOut } from '@/core/plan/ranOut';
import type { Plan } from '@/core/plan/planSet';
import type { MenuEntry } from '../kit/MoreMenu';
import type { Going } from './GoOn';

/** What may happen instead of what was planned: each plans the rest anew, and is shown before it is taken. */
export function insteadEntries({
  set,
  table,
  others,
  going,
  onLeaves,
  onOneNail,
  onEarlier,
  onAnother,
}: {
  set: SetDocument;
  table: Progress;
  others: ReturnType<typeof othersOf>;
  going: Going;
  /** When the client has to leave is asked. */
  onLeaves: () => void;
  /** Which nail, and what happened on it, is asked. */
  onOneNail: () => void;
  /** When it was really done is asked. */
  onEarlier: () => void;
  /** What is done first is asked. */
  onAnother: () => void;
}): MenuEntry[] {
  const { now } = table;
  return [
    ...(now
      ? [
          { key: 'nail', words: 'On one nail: again, left out, a spill, broke …', onPick: onOneNail },
          { key: 'earlier', words: 'This was done before …', onPick: onEarlier },
          { key: 'another', words: 'Another first …', onPick: onAnother },
        ]
      : []),
    ...others.map(({ of, other }) => ({
      key: `out-${of.id}-${other.id}`,
      words: `${of.name} ran out: take ${other.name}`,
      onPick: () => {
        const { change, begun } = ranOut(set, of.id, other.id, doneOf(table));
        const kept = begun.length > 0 ? `; the ${begun.map(nailWords).join(', ')} keep it` : '';
        going.ask(`${other.name} in the place of ${of.name}${kept}`, change);
      },
    })),
    { key: 'leaves', words: 'The client has to leave …', onPick: onLeaves },
    {
      key: 'anew',
      words: 'Plan the rest anew from here',
      onPick: () => going.ask('Planned anew'),
    },
  ];
}

/** So many others are offered for what is in hand. */
const MOST_OTHERS = 4;

/** Products of the same family that could go on in the place of what is in hand now, where nails are left to have it. */
export function othersOf(set: SetDocument, plan: Plan, progress: Progress) {
  const { now } = progress;
  const done = doneOf(progress);
  const product = NAILS.flatMap((nail) => plan.operations[nail]).find(({ id }) =>
    now?.operations.includes(id),
  )?.product;
  const of = set.kit.products.find(({ id }) => id === product);
  if (!of) return [];
  return couldReplace(set, of.id, done)
    .slice(0, MOST_OTHERS)
    .map((other) => ({ of, other }));
}

function doneOf({ ended_ms }: Progress): ReadonlySet<string> {
  return new Set(ended_ms.keys());
}
