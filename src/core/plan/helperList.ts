import type { Operation } from '../craft/operation';
import type { Verb } from '../craft/surfaces';
import type { Round } from '../timing/rounds';

/** What a second pair of hands can do without the artist's eye: cleaning, soaking, dust and oil (common practice). */
export const HELPED: readonly Verb[] = ['sanitise', 'soak', 'dust-off', 'oil'];

/** What someone who helps can take over, in the order and at the time of the sitting. */
export function helperList(rounds: readonly Round[], operations: readonly Operation[]): Round[] {
  const verbs = new Map(operations.map(({ id, verb }) => [id, verb]));
  return rounds.filter(
    ({ kind, operations: ids }) =>
      kind === 'work' &&
      ids.every((id) => {
        const verb = verbs.get(id);
        // Time that only passes is nobody's work.
        return verb !== undefined && (HELPED.includes(verb) || verb === 'rest');
      }),
  );
}
