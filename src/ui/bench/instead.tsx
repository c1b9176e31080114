import type { AtTable } from '@/core/bench/state';
import { leftOutOn, spillWiped } from '@/core/bench/instead';
import type { SetDocument } from '@/core/document/document';
import { NAILS, nailWords } from '@/core/model/names';
import { ranOut } from '@/core/plan/ranOut';
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
  onLeaves,
}: {
  set: SetDocument;
  plan: Plan;
  table: AtTable;
  going: Going;
  /** When the client has to leave is asked. */
  onLeaves: () => void;
}): MenuEntry[] {
  const { now } = table;
  const nails = (now?.nails ?? []).slice(0, MOST_NAMED);
  return [
    {
      key: 'anew',
      words: 'Plan the rest anew from here',
      onPick: () => going.ask('Planned anew'),
    },
    { key: 'leaves', words: 'The client has to leave …', onPick: onLeaves },
    ...othersOf(set, plan, table).map(({ of, other }) => ({
      key: `out-${of.id}-${other.id}`,
      words: `${of.name} ran out: take ${other.name}`,
      onPick: () => {
        const { change, begun } = ranOut(set, of.id, other.id, table.doneOperations);
        const kept = begun.length > 0 ? `; the ${begun.map(nailWords).join(', ')} keep it` : '';
        going.ask(`${other.name} in the place of ${of.name}${kept}`, change);
      },
    })),
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
  ];
}

/** So many others are offered for what is in hand. */
const MOST_OTHERS = 4;

/** Products of the same family that could go on in the place of what is in hand now, where nails are left to have it. */
function othersOf(set: SetDocument, plan: Plan, { now, doneOperations }: AtTable) {
  const product = NAILS.flatMap((nail) => plan.operations[nail]).find(({ id }) =>
    now?.operations.includes(id),
  )?.product;
  const of = set.kit.products.find(({ id }) => id === product);
  if (!of || of.colour === undefined) return [];
  return set.kit.products
    .filter(({ id, family }) => family === of.family && id !== of.id)
    .filter(({ id }) => ranOut(set, of.id, id, doneOperations).change !== undefined)
    .slice(0, MOST_OTHERS)
    .map((other) => ({ of, other }));
}
