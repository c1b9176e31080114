import { difference, linearOf } from '../../colour/space';
import { BODY_KINDS } from '../../craft/bodies';
import type { Operation } from '../../craft/operation';
import { filmIndex, granted, type NailCase, type NailRule } from '../rule';
import { leastOf, mostOf } from '../../model/extent';
import { rounded } from '../../model/rounded';
import type { FindingDraft, Fix } from '../finding';
import { pileColours } from '../../simulate/pile';
import type { Point } from '../../geometry/frame';
import { areaOf } from '../../craft/area';
import { masstone } from '../../colour/film';
import { pigmentOf } from '../../colour/pigments';

/** Below this, a piece or line of one's own cannot be told from its ground at arm's length (common practice). */
const MIN_DIFFERENCE = 8;

/** Pieces and liners against the simulated ground under them, by CIEDE2000. */
export const lostInGround: NailRule = {
  codes: ['lost-in-ground'],
  asks: 'Can each piece and line be seen against what lies under it?',
  check: (nail) => {
    const findings: FindingDraft[] = [];
    const { field, operations, context } = nail;
    const colourAt = pileColours(field, context.product);
    const add = (operation: Operation, words: string, least: number) =>
      findings.push({
        tries: recoloured(nail, operation),
        severity: 'warn',
        operation: operation.id,
        element: operation.element,
        message: `${words} cannot be told from the colour below.`,
        reason: 'A piece of the same tone as its ground is work that nobody will see.',
        figure: {
          words: 'colour difference',
          value: rounded(least, 1),
          limit: MIN_DIFFERENCE,
          is: 'at least',
          unit: 'ΔE00',
        },
      });
    for (const operation of operations) {
      const at = filmIndex(field, operation.id);
      if (at < 0) continue;
      if (operation.deposit?.kind === 'pieces') {
        const { pieces } = operation.deposit;
        const seen = pieces.filter((piece) => BODY_KINDS[piece.kind].judged);
        const [one, many] = BODY_KINDS[pieces[0]!.kind].judged ?? [];
        const differences = seen.map((piece) =>
          difference(linearOf(piece.colour), colourAt(piece.x_mm, piece.y_mm, { until: at })),
        );
        const lost = differences.filter((d) => d < MIN_DIFFERENCE);
        if (lost.length > 0) {
          add(
            operation,
            lost.length === 1 ? `A ${one}` : `${lost.length} of ${differences.length} ${many}`,
            leastOf(lost),
          );
        }
      } else if (operation.place.along_edge) {
        const product = context.product(operation.product!);
        const own = masstone(pigmentOf(product));
        // A line is seen against what lies on either side of it; its ends lie at the walls, where little is seen.
        const strips = areaOf(context.frame, operation.place).polygons;
        const ends = Math.ceil(strips.length / 10);
        const beside = strips.slice(ends, strips.length - ends).flatMap(besideStrip);
        const most = mostOf(beside.map((p) => difference(own, colourAt(p.x, p.y, { until: at }))));
        if (most < MIN_DIFFERENCE) add(operation, `The liner in ${product.name}`, most);
      }
    }
    return findings;
  },
};

/** How far beside a line the eye compares it with its ground. */
const BESIDE_MM = 0.3;

/** A place to either side of a stretch of a line. */
function besideStrip(strip: readonly Point[]): Point[] {
  const middle = (of: readonly Point[]) => ({
    x: of.reduce((sum, { x }) => sum + x, 0) / of.length,
    y: of.reduce((sum, { y }) => sum + y, 0) / of.length,
  });
  const centre = middle(strip);
  return [strip.slice(0, 2), strip.slice(2, 4)].map(middle).map((side) => {
    const away = Math.hypot(side.x - centre.x, side.y - centre.y) || 1;
    const share = (away + BESIDE_MM) / away;
    return { x: centre.x + share * (side.x - centre.x), y: centre.y + share * (side.y - centre.y) };
  });
}

/** The pieces that are lost in colours that can be seen. */
function recoloured(nail: NailCase, operation: Operation): Fix[] {
  const at = filmIndex(nail.field, operation.id);
  const colourAt = pileColours(nail.field, nail.context.product);
  const pieces = operation.deposit?.kind === 'pieces' ? operation.deposit.pieces : [];
  const ground = pieces.map((piece) => colourAt(piece.x_mm, piece.y_mm, { until: at }));
  const seen = (colour: string, i: number) =>
    !ground[i] || difference(linearOf(colour), ground[i]) >= MIN_DIFFERENCE;
  return granted(nail, operation.element, 'other-colours', { seen });
}
