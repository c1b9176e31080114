import type { Change } from '../document/changes';
import type { Edit } from '../document/edits';
import type { Operation } from '../craft/operation';

/** The work of a round left out on one nail: its steps, and the light that was for them alone. */
export function leftOutOn(operations: readonly Operation[], round: readonly string[]): Change {
  const own = operations.flatMap((one, i) => (round.includes(one.id) ? [i] : []));
  const last = operations[own.at(-1) ?? -1];
  const light = operations[(own.at(-1) ?? -2) + 1];
  const ids = own.map((i) => operations[i]!.id);
  if (last && light?.lamp && light.element === last.element && light.pass === last.pass) ids.push(light.id);
  return many(ids.map((a) => ({ kind: 'skip', a })));
}

/** A wipe before what comes next on a nail: what ran over is taken up while it is wet. */
export function spillWiped(operations: readonly Operation[], round: readonly string[]): Change | undefined {
  const at = operations.findIndex(({ id }) => round.includes(id));
  const after = operations[at - 1];
  if (!after) return undefined;
  return many([
    {
      kind: 'insert',
      id: `spill-${at}`,
      nail: after.nail,
      after: after.id,
      verb: 'wipe',
      seconds: SPILL_S,
      words: 'Wipe the spill off skin and nail',
    },
  ]);
}
const SPILL_S = 10;

function many(edits: readonly Edit[]): Change {
  return { kind: 'many', changes: edits.map((edit) => ({ kind: 'add-edit', edit })) };
}
