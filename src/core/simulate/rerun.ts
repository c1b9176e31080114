import type { Compiled } from '../compile/compile';
import { newCovers } from './cover';
import type { Edge } from '../craft/build';
import type { NailField } from './field';
import { beginRun, goOn, nominalSteps, type Run, type Simulated } from './simulate';

/** A nominal run, and what the next one over nearly the same nail can begin with. */
export interface Rerun extends Simulated {
  /** All that the run depends on besides its operations. */
  ground: string;
  operations: readonly string[];
  paused: { at: number; run: Run } | undefined;
}

/**
 * Runs a nail with the seconds its own operations ask for. Where the run before it was over the same nail, with the same
 * operations up to some step, it begins at that step: while a hand moves one thing, all that lies below is as it was.
 */
export function rerun(compiled: Compiled, edge: Edge, before?: Rerun): Rerun {
  const operations = compiled.operations.map((operation) => JSON.stringify(operation));
  const ground = groundOf(compiled, edge);
  const same = before?.ground === ground ? alike(before.operations, operations) : 0;
  const from = before?.paused && same > 0 && before.paused.at <= same ? before.paused : undefined;
  const run = from
    ? copyOf({ ...from.run, product: compiled.context.product })
    : beginRun(compiled, edge, newCovers());
  const begin = from?.at ?? 0;
  let paused = from;
  nominalSteps(compiled.operations.slice(begin)).forEach((step, i) => {
    // What was another than in the run before will be so in the next.
    if (i > 0 && begin + i === same) paused = { at: same, run: copyOf(run) };
    goOn(run, step);
  });
  const { field, verdicts, states } = run;
  return { field, verdicts, states, ground, operations, paused };
}

function groundOf({ operations, context, found }: Compiled, edge: Edge): string {
  const products = new Set(operations.flatMap(({ product }) => (product === undefined ? [] : [product])));
  return JSON.stringify([
    edge,
    found,
    context.nail.plate,
    context.frame,
    [...products].map((id) => context.product(id)),
  ]);
}

/** How many are alike from the first on. */
function alike(a: readonly string[], b: readonly string[]): number {
  const other = b.findIndex((text, i) => text !== a[i]);
  return other < 0 ? b.length : other;
}

/** A run that goes its own way from here: what steps write into is copied. */
function copyOf(run: Run): Run {
  return {
    ...run,
    covers: newCovers(),
    verdicts: [...run.verdicts],
    states: [...run.states],
    field: copyOfField(run.field),
    ...(run.tip ? { tip: copyOfField(run.tip) } : {}),
  };
}

function copyOfField(field: NailField): NailField {
  return {
    ...field,
    // A file may go into the plate itself; all else of the grid stays as it is.
    grid: { ...field.grid, plate_um: field.grid.plate_um.slice() },
    surface: field.surface.slice(),
    films: field.films.map(withOwnArrays),
  };
}

function withOwnArrays<T extends object>(film: T): T {
  return Object.fromEntries(
    Object.entries(film).map(([key, value]) => [
      key,
      value instanceof Float32Array || value instanceof Uint8Array ? value.slice() : (value as unknown),
    ]),
  ) as T;
}
