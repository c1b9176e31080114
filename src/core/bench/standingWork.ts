import { standing } from './events';
import type { BenchEvent } from './log';

export type Lit = Extract<BenchEvent, { what: 'lit' }>;
export type Done = Extract<BenchEvent, { what: 'done' }>;

/** What of the log has come to something: what was done again since is gone, piece by piece. */
export function standingWork(events: readonly BenchEvent[]): (BenchEvent | undefined)[] {
  const all = standing(events);
  const gone = new Set<string>();
  return all
    .toReversed()
    .map((one) => {
      if (one?.what === 'undone') for (const id of one.operations) gone.add(id);
      if (one?.what === 'done' || one?.what === 'lit') {
        const left = withoutGone(one, gone);
        // It was done anew after that: only this one was for nothing.
        for (const id of operationsOf(one)) gone.delete(id);
        return left;
      }
      return one;
    })
    .toReversed();
}

function operationsOf(one: Done | Lit): string[] {
  return one.what === 'lit' ? one.operations : one.pieces.map(({ operation }) => operation);
}

function withoutGone(one: Done | Lit, gone: ReadonlySet<string>): Done | Lit | undefined {
  if (operationsOf(one).every((id) => !gone.has(id))) return one;
  const left =
    one.what === 'lit'
      ? { ...one, operations: one.operations.filter((id) => !gone.has(id)) }
      : { ...one, pieces: one.pieces.filter(({ operation }) => !gone.has(operation)) };
  return operationsOf(left).length > 0 ? left : undefined;
}

/** How long each light was really on, by its place in the log. */
export function givenLights(
  events: readonly (BenchEvent | undefined)[],
): Map<number, { lit: Lit; end_ms: number }> {
  const given = new Map<number, { lit: Lit; end_ms: number }>();
  events.forEach((one, i) => {
    if (one?.what === 'lit') given.set(i, { lit: one, end_ms: one.at_ms + one.seconds * 1000 });
    const cut = one?.what === 'cut-short' ? given.get(one.of) : undefined;
    if (cut) cut.end_ms = Math.max(cut.lit.at_ms, Math.min(cut.end_ms, one!.at_ms));
  });
  return given;
}
