import { areaOf } from '../../craft/area';
import type { Operation } from '../../craft/operation';
import type { FindingDraft } from '../finding';
import { granted, type NailCase, type NailRule } from '../rule';

/** So much of a finished line has to lie in the way, in mm of its curve. */
const POINTS = 2;

/** Colour from a sponge or in mist gets past its part: over what was drawn there before, it has to be cleaned off. */
export const spongeSpills: NailRule = {
  codes: ['spills-over-line'],
  asks: 'Is what is dabbed or sprayed laid before the lines beside it?',
  check: (nail) => {
    const told = new Set<string>();
    return nail.operations.flatMap((operation, at): FindingDraft[] => {
      const { element, spills_mm } = operation;
      if (!spills_mm || told.has(element)) return [];
      const line = nail.operations
        .slice(0, at)
        .find((one) => isLine(one) && liesBeside(nail, one, operation));
      if (!line) return [];
      told.add(element);
      return [
        {
          severity: 'warn',
          operation: operation.id,
          element,
          message: `It spills over what is drawn beside it already: ${line.words}.`,
          reason: `A sponge or mist gets ${spills_mm} mm past its part; what is to stay clean comes after it, or is masked.`,
          tries: granted(nail, element, 'no-spill', {}),
        },
      ];
    });
  },
};

/** What has a clean edge: drawn, and not all over the nail. */
function isLine({ verb, place }: Operation): boolean {
  return verb === 'draw' && place.region.kind !== 'whole';
}

/** Beside the part, and no further from it than colour gets; what the part itself lies over is hidden and another matter. */
function liesBeside({ context }: NailCase, line: Operation, spilling: Operation): boolean {
  const into = areaOf(context.frame, spilling.place);
  const points = areaOf(context.frame, line.place).polygons.flat();
  const nail = areaOf(context.frame, { ...spilling.place, region: { kind: 'whole' } });
  const beside = points.filter(({ x, y }) => {
    const d = into.distance_mm(x, y);
    return d < -0.05 && d > -spilling.spills_mm! && nail.distance_mm(x, y) > 0;
  });
  return beside.length >= POINTS;
}
