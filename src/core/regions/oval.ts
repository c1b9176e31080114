import * as z from 'zod/mini';
import { across_mm, along_mm } from '../geometry/frame';
import { offSkin_mm } from '../geometry/regions';
import { figure, limitsOf } from '../model/limits';
import { Across, Along, mm, Turn } from '../model/primitives';
import { bodyHandles, onPart } from './handle';
import { turnWords } from './heights';
import { nearerMiddle } from './inwards';
import { rounded } from '../model/rounded';
import { defineRegion, type SpotWords } from './regionKind';

const schema = z.strictObject({
  kind: z.literal('oval'),
  across: Across,
  along: Along,
  width_mm: mm(0.3, 40),
  length_mm: mm(0.3, 60),
  turn_deg: Turn,
});

/** "a circle 5 mm across", "an oval 4 mm wide and 6 mm long": as it was drawn; on a smaller nail it may be smaller, and is on its map. */
function sizeWords(
  { width_mm, length_mm, turn_deg }: z.infer<typeof schema>,
  spot: SpotWords,
  side: 1 | -1,
): string {
  if (width_mm === length_mm) return `a circle ${rounded(width_mm, 1)} mm across`;
  const turn = turn_deg === 0 ? '' : `, ${turnWords(turn_deg, spot, side)}`;
  return `an oval ${rounded(width_mm, 1)} mm wide and ${rounded(length_mm, 1)} mm long${turn}`;
}

export const oval = defineRegion({
  kind: 'oval',
  words: 'An oval',
  noun: () => 'oval',
  schema,
  fresh: { kind: 'oval', across: 0, along: 0.8, width_mm: 5, length_mm: 5, turn_deg: 0 },
  figures: () => [
    figure(schema, 'across', 'Across (−1 to 1)'),
    figure(schema, 'along', 'Along (0 to 2)'),
    figure(schema, 'width_mm', 'Width'),
    figure(schema, 'length_mm', 'Length'),
    figure(schema, 'turn_deg', 'Turn'),
  ],
  lay: (frame, region, laying) => {
    const sign = laying.mirror ? -1 : 1;
    const cx = sign * across_mm(frame, region.across);
    const cy = along_mm(frame, region.along);
    const a = (region.width_mm * laying.scale) / 2;
    const b = (region.length_mm * laying.scale) / 2;
    const turn = (sign * region.turn_deg * Math.PI) / 180;
    const cos = Math.cos(turn);
    const sin = Math.sin(turn);
    return {
      polygons: [
        Array.from({ length: 40 }, (_, i) => {
          const angle = (2 * Math.PI * i) / 40;
          const px = a * Math.cos(angle);
          const py = b * Math.sin(angle);
          return { x: cx + px * cos - py * sin, y: cy + px * sin + py * cos };
        }),
      ],
      distance_mm: (x, y) => {
        const px = (x - cx) * cos + (y - cy) * sin;
        const py = -(x - cx) * sin + (y - cy) * cos;
        return Math.min(
          (1 - Math.hypot(px / a, py / b)) * Math.min(a, b),
          offSkin_mm(frame, x, y, laying.margin_mm),
        );
      },
    };
  },
  handles: (region, on) =>
    onPart(
      bodyHandles(
        {
          ...region,
          scale: on.scale,
          words: 'oval',
          id: 'oval',
          most_mm: [limitsOf(schema, 'width_mm').max, limitsOf(schema, 'length_mm').max],
          least_mm: limitsOf(schema, 'width_mm').min,
        },
        on,
      ),
      (body) => ({ ...region, ...body }),
    ),
  says: (region, spot, side) =>
    `in ${sizeWords(region, spot, side)}, ${spot(side * region.across, region.along)}`,
  sized: { inwards: nearerMiddle },
});
