import { difference, linearOf } from '../../colour/space';
import { BODY_KINDS } from '../../craft/bodies';
import type { Operation } from '../../craft/operation';
import { filmIndex, granted, type NailCase, type NailRule } from '../rule';
import { leastOf, mostOf } from '../../model/extent';
import { rounded } from '../../model/rounded';
import type { FindingDraft, Fix } from '../finding';
import { pileColours } from '../../simulate/pile';
import { smilePolyline } from '../../geometry/regions';
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
      } else if (operation.place.along_smile_mm !== undefined && operation.place.region.kind === 'tip') {
        const product = context.product(operation.product!);
        const own = masstone(pigmentOf(product));
        const line = smilePolyline(context.frame, operation.place.region.smile, operation.place, 8).slice(
          2,
          -2,
        );
        // A line is seen against what lies on either side of it.
        const off = operation.place.along_smile_mm / 2 + 0.3;
        const beside = line.flatMap((p) => [
          { x: p.x, y: p.y - off },
          { x: p.x, y: p.y + off },
        ]);
        const most = mostOf(beside.map((p) => difference(own, colourAt(p.x, p.y, { until: at }))));
        if (most < MIN_DIFFERENCE) add(operation, `The liner in ${product.name}`, most);
      }
    }
    return findings;
  },
};

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
