import { difference } from '../../colour/space';
import type { Operation } from '../../craft/operation';
import { rowOf } from '../../craft/surfaces';
import { liesInside } from '../../craft/bodies';
import { techniqueOf, type Element } from '../../craft/techniques';
import { mostOf } from '../../model/extent';
import { rounded } from '../../model/rounded';
import { cellX, cellY, NONE, type Film, type NailField } from '../../simulate/field';
import { isSolid } from '../../simulate/layers';
import { pileColours } from '../../simulate/pile';
import { lookOf } from '../../document/nailContext';
import type { FindingDraft, Fix } from '../finding';
import type { NailCase, NailRule } from '../rule';

/** An element that loses more than this share of what it adds to the nail is work nobody sees (common practice). */
const MAX_LOST = 0.75;
/** A difference too small to have been seen in the first place is judged elsewhere. */
const SEEN_FROM = 4;
/** Points looked at on one nail, shared by its elements. */
const SAMPLES = 120;

/** Whether what was painted or laid is still to be seen at the end. */
export const artHidden: NailRule = {
  codes: ['art-hidden'],
  asks: 'Can every element still be seen on the finished nail?',
  check: (nail) => {
    const colourAt = pileColours(nail.field, nail.context.product);
    const elementOf = new Map(nail.operations.map((one) => [one.id, one.element]));
    return nail.elements.flatMap((element): FindingDraft[] => {
      const own = (film: Film) => elementOf.get(film.operation) === element.id;
      const lost = techniqueOf(element.kind).sheen
        ? lostFinish(nail, own)
        : lostColour(nail.field, own, colourAt, Math.max(3, Math.min(24, SAMPLES / nail.elements.length)));
      if (lost === undefined || lost <= MAX_LOST) return [];
      const films = nail.field.films.filter(own);
      const last = films[films.length - 1]!.operation;
      const over = hiddenBy(nail, last, colourAt);
      if (over && isMeantToHide(nail, over)) return [];
      return [
        {
          severity: 'warn',
          operation: last,
          element: element.id,
          message: `“${element.id}” can hardly be seen${over ? `: ${over.words} lies over it` : ''}.`,
          reason:
            'What is laid over it covers it: either that belongs below, or this is work nobody will see.',
          figure: {
            words: 'hidden',
            value: rounded(lost * 100, 0),
            limit: MAX_LOST * 100,
            is: 'at most',
            unit: '%',
          },
          ...raise(nail, element, over),
        },
      ];
    });
  },
};

/**
 * Share of an element's area, weighted by how much of the colour difference it made there is gone at the end.
 * Where it made none to speak of, nothing is lost.
 */
function lostColour(
  field: NailField,
  own: (film: Film) => boolean,
  colourAt: ReturnType<typeof pileColours>,
  samples: number,
): number | undefined {
  const first = field.films.findIndex((film) => own(film) && (film.paint || film.pieces));
  if (first < 0) return undefined;
  const last = field.films.length - 1 - [...field.films].reverse().findIndex(own);
  const cells = new Set<number>();
  for (const film of field.films.slice(first, last + 1)) {
    if (!own(film) || (!film.paint && !film.pieces?.some(liesInside))) continue;
    film.phase.forEach((phase, cell) => {
      if (phase !== NONE) cells.add(cell);
    });
  }
  const all = [...cells];
  const step = Math.max(1, Math.floor(all.length / samples));
  let made = 0;
  let lost = 0;
  for (let i = 0; i < all.length; i += step) {
    const x = field.grid.x[cellX(all[i]!)]!;
    const y = field.grid.y[cellY(all[i]!)]!;
    const laid = difference(colourAt(x, y, { until: last + 1 }), colourAt(x, y, { until: first }));
    if (laid < SEEN_FROM) continue;
    made += laid;
    const left = difference(colourAt(x, y), colourAt(x, y, { without: own }));
    lost += laid - Math.min(laid, left);
  }
  return made > 0 ? lost / made : undefined;
}

/** Share of a finish's area on which another finish lies over it. */
function lostFinish(nail: NailCase, own: (film: Film) => boolean): number | undefined {
  const { field, context } = nail;
  const family = (film: Film) => (film.product ? context.product(film.product).family : undefined);
  const index = field.films.findIndex((film) => own(film) && film.kind === 'film');
  const film = field.films[index];
  if (!film) return undefined;
  let all = 0;
  let lost = 0;
  film.phase.forEach((phase, cell) => {
    if (phase === NONE) return;
    all += 1;
    const later = field.films
      .slice(index + 1)
      .filter((one) => one.kind === 'film' && one.phase[cell] !== NONE);
    const top = later[later.length - 1];
    if (top && family(top) !== family(film)) lost += 1;
  });
  return all > 0 ? lost / all : undefined;
}

/** Shimmer and mirror powder are laid over a ground that is there for them (common practice). */
function isMeantToHide({ context }: NailCase, { verb, product }: Operation): boolean {
  return (
    rowOf(verb).powders === true ||
    (product !== undefined && context.product(product).family === 'magnetic-gel')
  );
}

/** Of what other elements lay over it, the one without which most of it would be seen. */
function hiddenBy(
  nail: NailCase,
  last: string,
  colourAt: ReturnType<typeof pileColours>,
): Operation | undefined {
  const { field } = nail;
  const laid = new Map(nail.operations.map((one) => [one.id, one]));
  const elementOf = (film: Film) => laid.get(film.operation)?.element;
  const from = laid.get(last)!.element;
  const index = field.films.findIndex((film) => film.operation === last);
  const above = field.films
    .slice(index + 1)
    .flatMap((film) => laid.get(film.operation) ?? [])
    .filter((one) => one.element !== from);
  const cells: number[] = [];
  field.films[index]!.phase.forEach((phase, cell) => {
    if (phase !== NONE) cells.push(cell);
  });
  const some = cells.filter((_, i) => i % Math.max(1, Math.floor(cells.length / TAKEN_SAMPLES)) === 0);
  let best: { operation: Operation; back: number } | undefined;
  for (const element of new Set(above.map((one) => one.element))) {
    const own = above.filter((one) => one.element === element);
    const operation = own.findLast((one) => one.paint) ?? own[own.length - 1]!;
    let back = 0;
    for (const cell of some) {
      const [x, y] = [field.grid.x[cellX(cell)]!, field.grid.y[cellY(cell)]!];
      const bare = colourAt(x, y, { without: (film) => elementOf(film) === element });
      const neither = colourAt(x, y, { without: (film) => [element, from].includes(elementOf(film) ?? '') });
      back += difference(bare, neither);
    }
    if (!best || back > best.back) best = { operation, back };
  }
  return best?.operation;
}

/** Points at which what hides an element is looked for. */
const TAKEN_SAMPLES = 24;

/** Cells that an operation's films lie on. */
function laidOn(field: NailField, operation: string): number {
  const film = field.films.find((one) => one.operation === operation && isSolid(one));
  return film ? film.phase.reduce((sum, phase) => sum + (phase === NONE ? 0 : 1), 0) : 0;
}

/** Lists the hidden element over what hides it, where the look has both and the other would then still be seen. */
function raise(nail: NailCase, element: Element, over: Operation | undefined): { fix?: Fix } {
  const look = lookOf(nail.set, nail.context.nail);
  const to = look?.elements.findIndex((one) => one.id === over?.element) ?? -1;
  const from = look?.elements.findIndex((one) => one.id === element.id) ?? -1;
  if (!look || !over || to < 0 || from >= to) return {};
  const own = nail.operations.filter((one) => one.element === element.id && one.deposit);
  const most = Math.max(0, mostOf(own.map((one) => laidOn(nail.field, one.id))));
  if (most > laidOn(nail.field, over.id) * (1 - MAX_LOST / 2)) return {};
  return {
    fix: {
      words: `List “${element.id}” over “${over.element}”`,
      change: { kind: 'move-element', look: look.id, element: element.id, to },
    },
  };
}
