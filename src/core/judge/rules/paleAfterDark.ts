import { masstone } from '../../colour/film';
import { pigmentOf } from '../../colour/pigments';
import { lchOf } from '../../colour/space';
import { lookOf } from '../../document/nailContext';
import { isPlain } from '../../craft/paints';
import type { Operation } from '../../craft/operation';
import { rounded } from '../../model/rounded';
import { NONE } from '../../simulate/field';
import type { FindingDraft, Fix } from '../finding';
import { filmIndex, type NailCase, type NailRule } from '../rule';

/** From here on a colour needs covering by a paler one (L*, common practice). */
const PALER_BY = 35;
/** Marks that only touch do not cover each other. */
const OVERLAP_MM2 = 1;

/** In one pattern the pale goes first: dark covers pale in a stroke, pale over dark wants coats of its own. */
export const paleAfterDark: NailRule = {
  codes: ['pale-after-dark'],
  asks: 'In one pattern, is the pale colour laid before the dark?',
  check: (nail) => {
    const marks = marksOf(nail);
    for (const [i, over] of marks.entries()) {
      const under = marks.slice(0, i).find(
        (one) =>
          one.element !== over.element &&
          // A pattern on a shape is meant to lie over it.
          !over.operation.place.within?.some(({ outside }) => !outside) &&
          over.lightness - one.lightness >= PALER_BY &&
          overlap(one.cells, over.cells) * nail.field.grid.cell_mm2 >= OVERLAP_MM2,
      );
      if (under) return [told(nail, under, over)];
    }
    return [];
  },
};

interface Mark {
  operation: Operation;
  element: string;
  lightness: number;
  cells: Set<number>;
}

/** The first coats of what is drawn on a part of the nail, in order of work. */
function marksOf({ operations, field, context, elements }: NailCase): Mark[] {
  const seen = new Set<string>();
  return operations.flatMap((operation): Mark[] => {
    const { element, paint, product, place } = operation;
    if (seen.has(element) || !elements.some((one) => one.id === element)) return [];
    if (!isPlain(paint) || !product || place.region.kind === 'whole') return [];
    const film = field.films[filmIndex(field, operation.id)];
    if (!film) return [];
    seen.add(element);
    const cells = new Set<number>();
    film.phase.forEach((phase, cell) => {
      if (phase !== NONE) cells.add(cell);
    });
    const { lightness } = lchOf(masstone(pigmentOf(context.product(product))));
    return [{ operation, element, lightness, cells }];
  });
}

function overlap(a: ReadonlySet<number>, b: ReadonlySet<number>): number {
  let count = 0;
  for (const cell of a) if (b.has(cell)) count += 1;
  return count;
}

function told(nail: NailCase, under: Mark, over: Mark): FindingDraft {
  return {
    severity: 'note',
    operation: over.operation.id,
    element: over.element,
    message: `${over.operation.words} is laid over the darker “${under.element}”.`,
    reason: 'In one pattern the pale goes first: dark covers pale in a stroke, pale over dark turns grey.',
    figure: {
      words: 'lighter than what it crosses',
      value: rounded(over.lightness - under.lightness, 0),
      limit: PALER_BY,
      is: 'at most',
      unit: 'L*',
    },
    ...paleFirst(nail, under, over),
  };
}

function paleFirst(nail: NailCase, under: Mark, over: Mark): { fix?: Fix } {
  const look = lookOf(nail.set, nail.context.nail);
  const to = look?.elements.findIndex((one) => one.id === under.element) ?? -1;
  if (!look || to < 0) return {};
  return {
    fix: {
      words: `Lay “${over.element}” before “${under.element}”`,
      change: { kind: 'move-element', look: look.id, element: over.element, to },
    },
  };
}
