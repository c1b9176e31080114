import * as z from 'zod/mini';
import { layRegion } from '../../regions';
import type { Point } from '../../geometry/frame';
import { smoothLine } from '../../geometry/lines';
import { pack } from '../../geometry/pack';
import { counted } from '../../model/letters';
import { seedOf } from '../../model/chance';
import { mostOf } from '../../model/extent';
import { Across, Along, Colour } from '../../model/primitives';
import { onNail, scaleOn, sideOf, SKIN_MARGIN_MM, spotOn_mm, type NailContext } from '../context';
import { spotHandle, spotOf } from '../../regions/handle';
import type { PlacedPiece } from '../matter';
import {
  defineTechnique,
  ELEMENT_BASE,
  fitField,
  HAND_FIELD,
  seatField,
  type Arrangement,
  numberField,
} from '../technique';
import {
  BEDDING_FIELD,
  setStones,
  STONE_BEDDING,
  sizeField,
  STONE_SEAT,
  STONE_SIZE,
  stoneSeat,
  stonePiece,
  stockSize_mm,
  standing,
} from './stones';
import { STONE_SIZES_MM } from '../stoneSizes';

const MOST_STONES = 80;
const Stone = z.strictObject({ size: STONE_SIZE, across: Across, along: Along, colour: Colour });
type Stone = z.infer<typeof Stone>;

const schema = z.strictObject({
  ...ELEMENT_BASE,
  kind: z.literal('stones'),
  fit: z.enum(['scale', 'keep', 'repeat', 'drop']),
  hand: z.enum(['mirror', 'same']),
  seat: STONE_SEAT,
  stones: z.array(Stone).check(z.minLength(1), z.maxLength(MOST_STONES)),
  bedding: STONE_BEDDING,
});
type Stones = z.infer<typeof schema>;

function layLoose(element: Stones, context: NailContext): PlacedPiece[] {
  const scale = scaleOn(context.frame, element);
  const laid = element.stones.map((stone) =>
    stonePiece(
      spotOn_mm(stone, context, element),
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

/** Stones at points of this nail that lie on it: their sizes and colours in turn, as the list has them. */
function at(element: Stones, context: NailContext, points: readonly Point[]): Stones {
  const like = inTurn(element);
  const stones = points.flatMap((point, i): Stone[] => {
    const { size, colour } = like(i);
    const room = context.frame.halfWidth_mm(point.y) - STONE_SIZES_MM[size] / 2 - SKIN_MARGIN_MM;
    return Math.abs(point.x) <= room ? [{ size, colour, ...spotOf(point, onNail(context, element)) }] : [];
  });
  return stones.length > 0 ? { ...element, stones: stones.slice(0, MOST_STONES) } : element;
}

function inTurn({ stones }: Stones): (i: number) => Stone {
  return (i) => stones[i % stones.length]!;
}

interface AsLaid {
  point: Point;
  size_mm: (i: number) => number;
}

/** Where the first stone lies on this nail, and what each of a new arrangement would measure there. */
function asLaid(element: Stones, context: NailContext): AsLaid {
  const [first] = layLoose(element, context) as [PlacedPiece];
  const like = inTurn(element);
  const scale = scaleOn(context.frame, element);
  return {
    point: { x: first.x_mm, y: first.y_mm },
    size_mm: (i) => stockSize_mm(STONE_SIZES_MM[like(i).size] * scale),
  };
}

/** A way to lay stones from where the first one lies: at least so many, else as many as there are. */
function fromFirst(
  least: number,
  points: (first: AsLaid, count: number) => Point[],
): Arrangement<Stones>['lay'] {
  return (element, context) =>
    at(element, context, points(asLaid(element, context), Math.max(least, element.stones.length)));
}

function largestOf(from: number, count: number, size_mm: (i: number) => number): number {
  return mostOf(Array.from({ length: count }, (_, i) => size_mm(from + i)));
}

/** How far on from the first each of a row lies, side by side; and where the row ends, for one that closes. */
function sideBySide(count: number, size_mm: (i: number) => number): number[] {
  const on = [0];
  for (let i = 1; i <= count; i += 1)
    on.push(on[i - 1]! + (size_mm(i - 1) + size_mm(i % count)) / 2 + BETWEEN_MM);
  return on;
}

/** Places side by side along a drawn line, from its first point on, as many as it is long for. */
function alongLine(element: Stones, context: NailContext, drawn: readonly Point[]): Point[] {
  const { size_mm } = asLaid(element, context);
  const line = smoothLine(drawn);
  const points = line.slice(0, 1);
  let next_mm = (size_mm(0) + size_mm(1)) / 2 + BETWEEN_MM;
  // Straight across, so that a sharp bend brings no two together.
  for (const point of line) {
    while (points.length < MOST_STONES) {
      const last = points[points.length - 1]!;
      const away = Math.hypot(point.x - last.x, point.y - last.y);
      if (away < next_mm) break;
      const share = next_mm / away;
      points.push({ x: last.x + (point.x - last.x) * share, y: last.y + (point.y - last.y) * share });
      next_mm = (size_mm(points.length - 1) + size_mm(points.length)) / 2 + BETWEEN_MM;
    }
  }
  return points;
}

/** Rows and columns are told apart by so much between them. */
const GRID_MM = 0.5;
const RINGED = 5;

const arrangements: Arrangement<Stones>[] = [
  {
    key: 'round-charm',
    words: 'Round the charm',
    says: 'Evenly round the charm of this look, a brush’s width off it.',
    fits: (others) => others.some((one) => one.body),
    lay: (element, context, others) => {
      const charm = others.find((one) => one.body)?.body;
      if (!charm) return element;
      const { size_mm } = asLaid(element, context);
      const middle = spotOn_mm(charm, context, charm);
      const turn = (sideOf(context, charm) * charm.turn_deg * Math.PI) / 180;
      const count = element.stones.length > 1 ? element.stones.length : RINGED;
      return at(
        element,
        context,
        Array.from({ length: count }, (_, i) => {
          const angle = Math.PI / 2 + (2 * Math.PI * i) / count;
          const out = size_mm(i) / 2 + BETWEEN_MM + 0.15;
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
    lay: fromFirst(6, ({ point, size_mm }, count) => {
      const on = sideBySide(count, size_mm);
      const round = on[count]!;
      const radius = round / (2 * Math.PI);
      return on.slice(0, count).map((far) => ({
        x: point.x + radius - radius * Math.cos((2 * Math.PI * far) / round),
        y: point.y + radius * Math.sin((2 * Math.PI * far) / round),
      }));
    }),
  },
  {
    key: 'line',
    words: 'Line',
    says: 'A line from the first stone towards the tip.',
    lay: fromFirst(5, ({ point, size_mm }, count) =>
      sideBySide(count, size_mm)
        .slice(0, count)
        .map((far) => ({ x: point.x, y: point.y + far })),
    ),
  },
  {
    key: 'grid',
    words: 'Grid',
    says: 'In rows of three from the first stone up.',
    lay: fromFirst(9, ({ point, size_mm }, count) => {
      const step = largestOf(0, count, size_mm) + GRID_MM;
      return Array.from({ length: count }, (_, i) => ({
        x: point.x + ((i % 3) - 1) * step,
        y: point.y + Math.floor(i / 3) * step,
      }));
    }),
  },
  {
    key: 'cluster',
    words: 'Cluster',
    says: 'Close together round the first stone.',
    lay: fromFirst(7, ({ point, size_mm }) => {
      const largest = largestOf(1, 6, size_mm);
      const step = Math.max((size_mm(0) + largest) / 2, largest) + BETWEEN_MM;
      const ring = Array.from({ length: 6 }, (_, i) => ({
        x: point.x + step * Math.cos((Math.PI * i) / 3),
        y: point.y + step * Math.sin((Math.PI * i) / 3),
      }));
      return [point, ...ring];
    }),
  },
  {
    key: 'scatter',
    words: 'Scatter',
    says: 'Strewn over the nail; again for another throw.',
    lay: (element, context) => {
      const { frame } = context;
      const { size_mm } = asLaid(element, context);
      const area = layRegion(frame, { kind: 'whole' });
      const laid = pack({
        into_mm: area.distance_mm,
        box: { left: -frame.arc_mm / 2, right: frame.arc_mm / 2, low: 0, high: frame.length_mm },
        margin_mm: 0.5,
        bodies: element.stones.map((_, i) => {
          const half = size_mm(i) / 2;
          return { half_width_mm: half, half_length_mm: half, round: true };
        }),
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
        { kind: 'shade', path: 'colour', words: 'Colour' },
        numberField(Stone, 'across', 'Across'),
        numberField(Stone, 'along', 'Along'),
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
  copies: { path: 'stones', part: 'stone', most: MOST_STONES },
  drawn: [
    {
      words: 'Along a line',
      says: 'Side by side along a line that you draw on the nail',
      lay: (element, context, line) => at(element, context, alongLine(element, context, line)),
    },
  ],
  handles: (element, context) =>
    element.stones.map((stone, i) =>
      spotHandle(stone, { id: `stone-${i}`, words: `stone ${i + 1}` }, onNail(context, element), (spot) => ({
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
  called: ({ stones }) => counted(stones.length, 'stone'),
  stands: (element, context) => standing(layLoose(element, context), context),
  plan: (element, context) => setStones(layLoose(element, context), element.bedding, context),
});
