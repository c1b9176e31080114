import type { AtTable } from '@/core/bench/state';
import { leftOutOn, spillWiped } from '@/core/bench/instead';
import type { SetDocument } from '@/core/document/document';
import { nailWords } from '@/core/model/names';
import type { Plan } from '@/core/plan/planSet';
import type { MenuEntry } from '../kit/MoreMenu';
import type { Going } from './GoOn';

/** So many nails are named one by one. */
const MOST_NAMED = 5;

/** What may happen instead of what was planned: each plans the rest anew, and is shown before it is taken. */
export function insteadEntries({
  set,
  plan,
  table,
  going,
}: {
  set: SetDocument;
  plan: Plan;
  table: AtTable;
  going: Going;
}): MenuEntry[] {
  const { now } = table;
  const nails = (now?.nails ?? []).slice(0, MOST_NAMED);
  return [
    {
      key: 'anew',
      words: 'Plan the rest anew from here',
      onPick: () => going.ask('Planned anew'),
    },
    ...(now?.kind === 'work'
      ? nails.map((nail) => ({
          key: `skip-${nail}`,
          words: `Leave this out on the ${nailWords(nail)}`,
          onPick: () =>
            going.ask(`Left out on the ${nailWords(nail)}`, leftOutOn(plan.operations[nail], now.operations)),
        }))
      : []),
    ...nails.map((nail) => ({
      key: `spill-${nail}`,
      words: `A spill on the ${nailWords(nail)}: wipe it`,
      onPick: () =>
        going.ask(`A spill on the ${nailWords(nail)}`, spillWiped(plan.operations[nail], now!.operations)),
    })),
    ...nails.map((nail) => ({
      key: `broke-${nail}`,
      words: `The ${nailWords(nail)} broke: go on without it`,
      danger: true,
      onPick: () =>
        going.ask(`Without the ${nailWords(nail)}`, { kind: 'in-work', nails: [nail], in_work: false }),
    })),
  ].filter(({ key }) => set.nails !== undefined && key !== '');
}
