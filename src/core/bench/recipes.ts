import { wornElements } from '../document/nailContext';
import type { Operation } from '../craft/operation';
import type { RecalledFigure } from '../craft/recalled';
import { techniqueOf, type Element } from '../craft/techniques';
import type { SetDocument } from '../document/document';
import type { NailName } from '../model/names';
import { nailIn, nailsOf } from './events';
import type { BenchEvent } from './log';

/** A recipe as it was planned, on the nails of a round that have it. */
export interface AskedRecipe {
  words: string;
  nails: NailName[];
  operations: string[];
  figures: RecalledFigure[];
}

/** What is asked for once a round is done: magnets, marbles and mixes, each kind once for all nails that were planned alike. */
export function recipesOf(
  set: SetDocument,
  operations: Readonly<Record<NailName, readonly Operation[]>>,
  round: readonly string[],
): AskedRecipe[] {
  const names = new Map(set.kit.products.map(({ id, name }) => [id, name]));
  const worn = new Map(nailsOf(round).map((nail) => [nail, wornElements(set, set.nails[nail])]));
  const asked = new Map<string, AskedRecipe>();
  for (const id of round) {
    const nail = nailIn(id);
    const operation = operations[nail].find((one) => one.id === id);
    const element = operation && recalledBy(worn.get(nail)!, operation);
    if (!element) continue;
    const { recalled, words } = techniqueOf(element.kind);
    const figures = recalled!.figures(element, (product) => names.get(product) ?? product);
    const key = JSON.stringify([element.id, figures]);
    const known = asked.get(key);
    if (known) {
      if (!known.nails.includes(nail)) known.nails.push(nail);
      known.operations.push(id);
    } else asked.set(key, { words, nails: [nail], operations: [id], figures });
  }
  return [...asked.values()];
}

/** The first recipe of what is done that nothing was said of yet; said of one pass it is said of all. */
export function openRecipe(
  set: SetDocument,
  operations: Readonly<Record<NailName, readonly Operation[]>>,
  events: readonly BenchEvent[],
  done: Iterable<string>,
): AskedRecipe | undefined {
  const said = new Set(
    events.flatMap((one) => (one.what === 'recipe' ? one.operations.map(withoutPass) : [])),
  );
  return recipesOf(
    set,
    operations,
    [...done].filter((id) => !said.has(withoutPass(id))),
  )[0];
}

function withoutPass(operation: string): string {
  return operation.slice(0, operation.indexOf('#'));
}

/** The element whose recipe an operation is the step of; a build that is half mixed by what it is laid in. */
function recalledBy(elements: readonly Element[], operation: Operation): Element | undefined {
  return elements.find((element) => {
    const { recalled } = techniqueOf(element.kind);
    if (!recalled) return false;
    return recalled.step === undefined
      ? operation.paint?.kind === 'marble' && !elements.some(({ id }) => id === operation.element)
      : operation.element === element.id && operation.step === recalled.step;
  });
}

/** What the artist has said of a recipe; `values` by path, what is missing as it was planned. */
export function recipeEvent(
  { operations, figures }: Pick<AskedRecipe, 'operations' | 'figures'>,
  at_ms: number,
  values: Readonly<Record<string, number>> = {},
): Extract<BenchEvent, { what: 'recipe' }> {
  const really = figures.map(({ path, words, unit = '', value }) => ({
    path,
    words,
    unit,
    value: values[path] ?? value,
  }));
  const kept = really.every(({ value }, i) => value === figures[i]!.value);
  return { what: 'recipe', at_ms, operations, kept, figures: really };
}
