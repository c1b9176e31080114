import type { Change } from '../document/changes';
import type { Edit } from '../document/edits';
import { liesAllOver, operationId, type Operation } from '../craft/operation';
import { lowerFirst } from '../model/letters';
import { MOST_WORDS } from '../model/primitives';

/** The work of a round left out on one nail: its steps, and the light that was for them alone. */
export function leftOutOn(operations: readonly Operation[], round: readonly string[]): Change {
  const own = operations.flatMap((one, i) => (round.includes(one.id) ? [i] : []));
  const last = operations[own.at(-1) ?? -1];
  const light = operations[(own.at(-1) ?? -2) + 1];
  const ids = own.map((i) => operations[i]!.id);
  if (last && light?.lamp && light.element === last.element && light.pass === last.pass) ids.push(light.id);
  return many(ids.map((a) => ({ kind: 'skip', a })));
}

/** Work that was for nothing: what of it is done again, and what comes in before it. */
export interface Again {
  /** Operations that are to do once more. */
  undone: string[];
  change: Change;
  words: string;
}

/**
 * The last film of a nail once more: where no light has met it, it is wiped off and laid again; hard, it gets one coat more, with its
 * light. Undefined where the last that was done is no film. `done`: ids of operations.
 */
export function againOn(
  operations: readonly Operation[],
  done: { has: (operation: string) => boolean },
): Again | undefined {
  const last = operations.findLastIndex(({ id }) => done.has(id));
  const laid = operations.findLastIndex(({ id, deposit }, i) => i <= last && deposit && done.has(id));
  const film = operations[laid];
  const before = operations[laid - 1];
  if (!film?.product || film.deposit?.kind !== 'conformal' || film.in_tip) return undefined;
  const light = operations.slice(laid + 1, last + 1).find(({ lamp }) => lamp);
  if (!light && laid === last && before)
    return {
      undone: [film.id],
      change: wipedBefore(operations, laid, 'again', 'Wipe it off while it is wet'),
      words: `Wiped off, and again: ${lowerFirst(film.words)}`,
    };
  const cure = operations.slice(laid + 1).find(({ lamp }) => lamp?.mode === 'cure');
  // A coat that is put in lies on the whole nail: of what lies on a part of it there is none.
  if (!light || !cure || operations[last] !== cure || film.verb !== 'coat' || !liesAllOver(film.place))
    return undefined;
  const id = `again-${last}`;
  const own = operationId(film.nail, 'own', id, 1);
  return {
    undone: [],
    change: many([
      {
        kind: 'insert',
        id,
        nail: film.nail,
        after: cure.id,
        verb: 'coat',
        seconds: Math.max(1, film.hand_s),
        words: `${film.words.split(',')[0]!}, one more coat`.slice(0, MOST_WORDS),
        product: film.product,
      },
      {
        kind: 'insert',
        id: `${id}-cure`,
        nail: film.nail,
        after: own,
        verb: 'cure',
        seconds: cure.lamp!.seconds,
        words: `Cure ${film.words.split(',')[0]!}, one more coat`.slice(0, MOST_WORDS),
      },
    ]),
    words: `One more coat: ${lowerFirst(film.words)}`,
  };
}

/** A wipe before what comes next on a nail: what ran over is taken up while it is wet. */
export function spillWiped(operations: readonly Operation[], round: readonly string[]): Change | undefined {
  const at = operations.findIndex(({ id }) => round.includes(id));
  return at > 0 ? wipedBefore(operations, at, 'spill', 'Wipe the spill off skin and nail') : undefined;
}
const WIPED_S = 10;

function wipedBefore(operations: readonly Operation[], at: number, id: string, words: string): Change {
  const { nail, id: after } = operations[at - 1]!;
  return many([{ kind: 'insert', id: `${id}-${at}`, nail, after, verb: 'wipe', seconds: WIPED_S, words }]);
}

function many(edits: readonly Edit[]): Change {
  return { kind: 'many', changes: edits.map((edit) => ({ kind: 'add-edit', edit })) };
}
