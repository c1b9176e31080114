import { acrossNails } from '../compile/acrossNails';
import { applyChange, type Change } from '../document/changes';
import type { SetDocument } from '../document/document';
import { isAcrossNails, nailOf, type Edit } from '../document/edits';
import { handOf, NAILS } from '../model/names';
import { fail, ok, type Result } from '../model/result';
import { whoseWords, type Round } from '../timing/rounds';
import type { Plan } from './planSet';

/** An order of two rounds that the artist holds on to: `first` before `then`, however the rest is planned. */
export interface Pin {
  first: string;
  then: string;
  /** What lets go of it. */
  change: Change;
}

type Before = Extract<Edit, { kind: 'before' }>;

/**
 * The change that puts one round of a plan before another, or behind it, and holds it there: an order for each pair of their work
 * on two nails. Told where a nail's own order, or one that is pinned, stands against it.
 */
export function pinned(
  set: SetDocument,
  { operations, rounds }: Pick<Plan, 'operations' | 'rounds'>,
  from: number,
  to: number,
): Result<Change> {
  const [moved, other] = [rounds[from], rounds[to]];
  if (!moved || !other || from === to) return fail('', 'There is nothing to move.');
  if (moved.kind === 'load' || other.kind === 'load')
    return fail('', 'A load of the lamp follows the work it hardens: move that.');
  const [first, then] = to < from ? [moved, other] : [other, moved];
  const at = new Map(NAILS.flatMap((nail) => operations[nail].map(({ id }, i) => [id, i] as const)));
  const against = then.operations.find((b) =>
    first.operations.some((a) => nailOf(a) === nailOf(b) && (at.get(a) ?? 0) > (at.get(b) ?? 0)),
  );
  if (against !== undefined)
    return fail(
      '',
      `${roundWords(first, set)} comes after ${roundWords(then, set)} on one nail: that is moved under Plate to top.`,
    );
  const edits = first.operations.flatMap((a) =>
    then.operations.flatMap((b): Before[] => (nailOf(a) === nailOf(b) ? [] : [{ kind: 'before', a, b }])),
  );
  const opposed = new Set(edits.map(({ a, b }) => `${b} ${a}`));
  const change: Change = {
    kind: 'many',
    changes: [
      // What was pinned the other way round is let go.
      ...set.edits
        .filter((edit) => edit.kind === 'before' && opposed.has(`${edit.a} ${edit.b}`))
        .map((edit): Change => ({ kind: 'remove-edit', edit })),
      ...edits
        .filter((edit) => !set.edits.some((one) => JSON.stringify(one) === JSON.stringify(edit)))
        .map((edit): Change => ({ kind: 'add-edit', edit })),
    ],
  };
  const next = applyChange(set, change);
  if (!next.ok) return next;
  const chains = NAILS.map((nail) => operations[nail]);
  if (acrossNails(next.value, chains).circular.length > acrossNails(set, chains).circular.length)
    return fail('', 'An order that is pinned, or what a nail wants, stands against it.');
  return ok(change);
}

/** The orders between nails that an artist holds on to, as pairs of the rounds they are in now. */
export function pinsOf(set: SetDocument, rounds: readonly Round[]): Pin[] {
  const roundOf = new Map(rounds.flatMap((round) => round.operations.map((id) => [id, round] as const)));
  const pairs = new Map<string, { first: Round; then: Round; edits: Edit[] }>();
  for (const edit of set.edits) {
    if (edit.kind !== 'before' || !isAcrossNails(edit)) continue;
    const [first, then] = [roundOf.get(edit.a), roundOf.get(edit.b)];
    if (!first || !then) continue;
    const key = `${first.number} ${then.number}`;
    const known = pairs.get(key);
    if (known) known.edits.push(edit);
    else pairs.set(key, { first, then, edits: [edit] });
  }
  return [...pairs.values()].map(({ first, then, edits }) => ({
    first: roundWords(first, set),
    then: roundWords(then, set),
    change: { kind: 'many', changes: edits.map((edit): Change => ({ kind: 'remove-edit', edit })) },
  }));
}

/** "Left ring: Velvet 04". */
function roundWords({ hand, nails, words }: Round, set: SetDocument): string {
  const worked = NAILS.filter((nail) => set.nails[nail].in_work);
  const whose = whoseWords(nails, worked);
  const side = hand === 'both' || nails.some((nail) => handOf(nail) !== hand) ? '' : `${hand} `;
  return `${side}${whose}: ${words}`;
}
