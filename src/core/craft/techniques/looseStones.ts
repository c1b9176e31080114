import * as z from 'zod';
import { layRegion } from '../../geometry/regions';
import { across_mm, along_mm, type Point } from '../../geometry/frame';
import { pack } from '../../geometry/pack';
import { seedOf } from '../../model/chance';
import { Across, Along, Colour } from '../../model/primitives';
import { isMirrored, scaleOn, SKIN_MARGIN_MM, type NailContext } from '../context';
import { spotHandle, spotOf } from '../handle';
import type { PlacedPiece } from '../operation';
import {
  defineTechnique,
  ELEMENT_BASE,
  fitField,
  HAND_FIELD,
  seatField,
  type Arrangement,
} from '../technique';
import {
  BEDDING_FIELD,
  setStones,
  STONE_BEDDING,
  sizeField,
  STONE_SEAT,
  STONE_SIZE,
  STONE_SIZES_MM,
  stoneSeat,
  stonePiece,
  stockSize_mm,
  withClearance,
} from './stones';

const MOST_STONES = 80;

const schema = z.strictObject({
  ...ELEMENT_BASE,
  kind: z.literal('stones'),
  fit: z.enum(['scale', 'keep', 'repeat', 'drop']),
  hand: z.enum(['mirror', 'same']),
  seat: STONE_SEAT,
  stones: z
    .array(z.strictObject({ size: STONE_SIZE, across: Across, along: Along, colour: Colour }))
    .min(1)
    .max(MOST_STONES),
  bedding: STONE_BEDDING,
});
type Stones = z.infer<typeof schema>;
type Stone = Stones['stones'][number];

function layLoose(element: Stones, context: NailContext): PlacedPiece[] {
  const { frame } = context;
  const scale = scaleOn(frame, element);
  const side = isMirrored(context.name, element) ? -1 : 1;
  const laid = element.stones.map((stone) =>
    stonePiece(
      { x: side * across_mm(frame, stone.across), y: along_mm(frame, stone.along) },
      stockSize_mm(STONE_SIZES_MM[stone.size] * scale),
      stone.colour,
    ),
  );
  if (element.fit !== 'repeat') return laid;
  // Where two would touch on a smaller nail, the later one is left off.
  return laid.filter((stone, i) =>
    laid
      .slice(0, i)
      .every(
        (other) =>
          Math.hypot(other.x_mm - stone.x_mm, other.y_mm - stone.y_mm) >=
          (other.width_mm + stone.width_mm) / 2 - 1e-6,
      ),
  );
}

/** Free room between two stones (common practice: they never touch, or one lifts the other). */
const BETWEEN_MM = 0.15;

/** Stones of the first one's size and colour, at points of this nail that lie on it. */
function at(element: Stones, context: NailContext, points: readonly Point[]): Stones {
  const [first] = element.stones as [Stone];
  const inside = points.filter(({ x, y }) => {
    const room = context.frame.halfWidth_mm(y) - STONE_SIZES_MM[first.size] / 2 - SKIN_MARGIN_MM;
    return Math.abs(x) <= room;
  });
  const stones = inside
    .slice(0, MOST_STONES)
    .map((point): Stone => ({ size: first.size, colour: first.colour, ...spotOf(point, context, element) }));
  return stones.length > 0 ? { ...element, stones } : element;
}

function firstPoint(element: Stones, context: NailContext): { point: Point; size_mm: number } {
  const [first] = layLoose(element, context) as [PlacedPiece];
  return { point: { x: first.x_mm, y: first.y_mm }, size_mm: first.width_mm };
}

const RINGED = 5;

const arrangements: Arrangement<Stones>[] = [
  {
    key: 'round-charm',
    words: 'Round the charm',
    says: 'Evenly round the charm of this look, a brush’s width off it.',
    fits: (others) => others.some((one) => one.kind === 'charm'),
    lay: (element, context, others) => {
      const charm = others.find((one) => one.kind === 'charm');
      if (charm?.kind !== 'charm') return element;
      const side = isMirrored(context.name, charm) ? -1 : 1;
      const { size_mm } = firstPoint(element, context);
      const middle = {
        x: side * across_mm(context.frame, charm.across),
        y: along_mm(context.frame, charm.along),
      };
      const turn = (side * charm.turn_deg * Math.PI) / 180;
      const out = size_mm / 2 + BETWEEN_MM + 0.15;
      const count = element.stones.length > 1 ? element.stones.length : RINGED;
      return at(
        element,
        context,
        Array.from({ length: count }, (_, i) => {
          const angle = Math.PI / 2 + (2 * Math.PI * i) / count;
          const x = (charm.width_mm / 2 + out) * Math.cos(angle);
          const y = (charm.length_mm / 2 + out) * Math.sin(angle);
          return {
            x: middle.x + x * Math.cos(turn) - y * Math.sin(turn),
            y: middle.y + x * Math.sin(turn) + y * Math.cos(turn),
          };
        }),
      );
    },
  },
  {
    key: 'ring',
    words: 'Ring',
    says: 'A ring with the first stone on its left.',
    lay: (element, context) => {
      const { point, size_mm } = firstPoint(element, context);
      const count = Math.max(6, element.stones.length);
      const radius = ((size_mm + BETWEEN_MM) * count) / (2 * Math.PI);
      return at(
        element,
        context,
        Array.from({ length: count }, (_, i) => ({
          x: point.x + radius - radius * Math.cos((2 * Math.PI * i) / count),
          y: point.y + radius * Math.sin((2 * Math.PI * i) / count),
        })),
      );
    },
  },
  {
    key: 'line',
    words: 'Line',
    says: 'A line from the first stone towards the tip.',
    lay: (element, context) => {
      const { point, size_mm } = firstPoint(element, context);
      const count = Math.max(5, element.stones.length);
      return at(
        element,
        context,
        Array.from({ length: count }, (_, i) => ({ x: point.x, y: point.y + i * (size_mm + BETWEEN_MM) })),
      );
    },
  },
  {
    key: 'cluster',
    words: 'Cluster',
    says: 'Close together round the first stone.',
    lay: (element, context) => {
      const { point, size_mm } = firstPoint(element, context);
      const step = size_mm + BETWEEN_MM;
      const ring = Array.from({ length: 6 }, (_, i) => ({
        x: point.x + step * Math.cos((Math.PI * i) / 3),
        y: point.y + step * Math.sin((Math.PI * i) / 3),
      }));
      return at(element, context, [point, ...ring]);
    },
  },
  {
    key: 'scatter',
    words: 'Scatter',
    says: 'Strewn over the nail; again for another throw.',
    lay: (element, context) => {
      const { frame } = context;
      const { size_mm } = firstPoint(element, context);
      const half = size_mm / 2;
      const area = layRegion(frame, { kind: 'whole' });
      const laid = pack({
        into_mm: area.distance_mm,
        box: { left: -frame.arc_mm / 2, right: frame.arc_mm / 2, low: 0, high: frame.length_mm },
        margin_mm: 0.5,
        bodies: [{ half_width_mm: half, half_length_mm: half, round: true }],
        turn_deg: 0,
        most: Math.max(9, element.stones.length),
        // One try a stone: strewn, not packed.
        tries: 1,
        seed: seedOf(element.stones),
      });
      return at(element, context, laid);
    },
  },
];

/** Single stones, each where it is put. */
export const looseStones = defineTechnique({
  kind: 'stones',
  words: 'Stones',
  blurb: 'Single stones, each where you put it: in rings, lines, clusters, round a charm or strewn.',
  schema,
  extra: true,
  seats: ['surface', 'over'],
  usual: stoneSeat,
  fields: [
    {
      kind: 'list',
      path: 'stones',
      words: 'Stones',
      part: 'stone',
      item: [
        sizeField('size'),
        { kind: 'colour', path: 'colour', words: 'Colour' },
        { kind: 'number', path: 'across', words: 'Across', min: -1, max: 1, step: 0.05 },
        { kind: 'number', path: 'along', words: 'Along', min: 0, max: 2, step: 0.05 },
      ],
      fresh: null,
      min: 1,
      max: MOST_STONES,
    },
    BEDDING_FIELD,
    fitField('scale', 'keep', 'repeat', 'drop'),
    seatField('usual', 'surface', 'over'),
    HAND_FIELD,
  ],
  arrangements,
  handles: (element, context) =>
    element.stones.map((stone, i) =>
      spotHandle(stone, { id: `stone-${i}`, words: `stone ${i + 1}` }, context, element, (spot) => ({
        ...element,
        stones: element.stones.map((one, k) => (k === i ? { ...one, ...spot } : one)),
      })),
    ),
  fromShelf: {
    kind: 'stone',
    take: (element, supply) =>
      supply.kind !== 'stone'
        ? element
        : {
            ...element,
            stones: element.stones.map((stone) => ({ ...stone, size: supply.size, colour: supply.colour })),
          },
  },
  fresh: (id) => ({
    id,
    kind: 'stones' as const,
    fit: 'repeat' as const,
    hand: 'mirror' as const,
    seat: 'usual' as const,
    stones: [{ size: 'SS5' as const, across: 0, along: 0.5, colour: '#e9f1f5' }],
    bedding: 'practice' as const,
  }),
  products: () => [],
  stands: (element, context) => layLoose(element, context).map(withClearance),
  plan: (element, context) => setStones(layLoose(element, context), element.bedding, context),
});
