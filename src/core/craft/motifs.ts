import { rounded } from '../model/rounded';
import type { Region } from '../regions';

/** A stroke or a filled shape of a small motif, in a square from −1 to 1 that is as high as it is wide on the nail. */
interface Stroke {
  points: readonly (readonly [number, number])[];
  /** Of the brush; nothing for a filled shape. */
  width_mm?: number;
}

/** A small motif: its strokes by colour, in the order in which they are drawn. */
export interface SmallMotif {
  key: string;
  words: string;
  blurb: string;
  colours: readonly (readonly Stroke[])[];
  /** What each colour of it is, as it is called at the table. */
  names: readonly string[];
}

const line = (width_mm: number, ...points: [number, number][]): Stroke => ({ width_mm, points });
const fill = (...points: [number, number][]): Stroke => ({ points });

/** A round, or part of one, by so many points; angles in turns, from the right, towards the tip. */
function arc(x: number, y: number, r: number, from = 0, to = 1, count = 12, ry = r): [number, number][] {
  const closed = to - from === 1;
  return Array.from({ length: closed ? count : count + 1 }, (_, i) => {
    const turn = 2 * Math.PI * (from + ((to - from) * i) / count);
    return [x + r * Math.cos(turn), y + ry * Math.sin(turn)];
  });
}

const dot = (x: number, y: number, r = 0.12): Stroke => fill(...arc(x, y, r, 0, 1, 14));

/** A petal from a middle outwards, at an angle in turns. */
function petal(turn: number, from: number, to: number, wide: number): Stroke {
  const [cos, sin] = [Math.cos(2 * Math.PI * turn), Math.sin(2 * Math.PI * turn)];
  const round = arc((from + to) / 2, 0, (to - from) / 2, 0, 1, 12, wide);
  return fill(...round.map(([x, y]): [number, number] => [x * cos - y * sin, x * sin + y * cos]));
}

const STAR: [number, number][] = Array.from({ length: 10 }, (_, i) => {
  const [turn, r] = [(i * Math.PI) / 5, i % 2 === 0 ? 0.95 : 0.4];
  return [r * Math.sin(turn), r * Math.cos(turn)];
});

/** The heart of the textbooks: x = 16 sin³t, y = 13 cos t − 5 cos 2t − 2 cos 3t − cos 4t. */
const HEART: [number, number][] = Array.from({ length: 28 }, (_, i) => {
  const t = (2 * Math.PI * i) / 28;
  const y = 13 * Math.cos(t) - 5 * Math.cos(2 * t) - 2 * Math.cos(3 * t) - Math.cos(4 * t);
  return [Math.sin(t) ** 3 * 0.95, (y + 2) / 16];
});

/** Fifteen to begin with, drawn for this program: things of a theatre, and of its garden scene. */
export const MOTIFS: readonly SmallMotif[] = [
  {
    key: 'five-petals',
    names: ['petals', 'middle'],
    words: 'Five petals',
    blurb: 'A small flower: five petals, then its middle.',
    colours: [[0.25, 0.45, 0.65, 0.85, 1.05].map((turn) => petal(turn, 0.15, 0.9, 0.3)), [dot(0, 0, 0.2)]],
  },
  {
    key: 'daisy',
    names: ['petals', 'middle'],
    words: 'Daisy',
    blurb: 'Nine thin petals pulled inwards, and a middle.',
    colours: [Array.from({ length: 9 }, (_, i) => petal(i / 9, 0.2, 0.95, 0.14)), [dot(0, 0, 0.22)]],
  },
  {
    key: 'bow',
    names: ['loops and ends', 'knot'],
    words: 'Bow',
    blurb: 'Two loops, two ends and a knot.',
    colours: [
      [
        fill([0, 0.1], [-0.45, 0.5], [-0.9, 0.45], [-0.95, 0], [-0.85, -0.3], [-0.4, -0.25]),
        fill([0, 0.1], [0.45, 0.5], [0.9, 0.45], [0.95, 0], [0.85, -0.3], [0.4, -0.25]),
        line(0.3, [-0.05, -0.05], [-0.35, -0.5], [-0.5, -0.95]),
        line(0.3, [0.05, -0.05], [0.35, -0.5], [0.5, -0.95]),
      ],
      [dot(0, 0.05, 0.18)],
    ],
  },
  {
    key: 'heart',
    names: ['heart'],
    words: 'Heart',
    blurb: 'Filled, in one colour.',
    colours: [[fill(...HEART)]],
  },
  { key: 'star', names: ['star'], words: 'Star', blurb: 'Five points, filled.', colours: [[fill(...STAR)]] },
  {
    key: 'moon',
    names: ['crescent', 'star'],
    words: 'Moon and star',
    blurb: 'A crescent, and a small star beside it.',
    colours: [
      [
        fill(
          ...arc(-0.1, 0, 0.85, 0.12, 0.88, 14),
          ...arc(0.2, 0, 0.66, 0.86, 0.14, 12).filter((_, i) => i > 0),
        ),
      ],
      [fill(...STAR.map(([x, y]): [number, number] => [0.55 + x * 0.32, 0.1 + y * 0.32]))],
    ],
  },
  {
    key: 'mask',
    names: ['mask', 'eyes'],
    words: 'Mask',
    blurb: 'A half mask for the ball, its eyes left dark.',
    colours: [
      [
        fill(
          [-0.95, 0.45],
          [-0.5, 0.5],
          [0, 0.3],
          [0.5, 0.5],
          [0.95, 0.45],
          [0.85, -0.1],
          [0.5, -0.42],
          [0.18, -0.3],
          [0, -0.08],
          [-0.18, -0.3],
          [-0.5, -0.42],
          [-0.85, -0.1],
        ),
      ],
      [fill(...arc(-0.45, 0.08, 0.24, 0, 1, 16, 0.15)), fill(...arc(0.45, 0.08, 0.24, 0, 1, 16, 0.15))],
    ],
  },
  {
    key: 'swag',
    names: ['swags', 'tassels'],
    words: 'Curtain swags',
    blurb: 'Three swags of a stage curtain, one below the other.',
    colours: [
      [0.7, 0.15, -0.4].map((y) =>
        line(0.3, [-0.95, y], [-0.5, y - 0.32], [0, y - 0.42], [0.5, y - 0.32], [0.95, y]),
      ),
      [dot(-0.95, 0.7), dot(0.95, 0.7), dot(0, 0.28), dot(0, -0.27), dot(0, -0.82)],
    ],
  },
  {
    key: 'footlights',
    names: ['lights', 'edge of the stage'],
    words: 'Footlights',
    blurb: 'A row of lights along the edge of a stage.',
    colours: [
      [-0.8, -0.4, 0, 0.4, 0.8].map((x) => fill(...arc(x, 0, 0.15, 0, 1, 14, 0.26))),
      [line(0.3, [-1, -0.45], [1, -0.45])],
    ],
  },
  {
    key: 'ticket',
    names: ['outline', 'print'],
    words: 'Ticket',
    blurb: 'Its outline with a nick on each side, and three lines of print.',
    colours: [
      [
        line(
          0.2,
          [-0.9, 0.5],
          [0.9, 0.5],
          [0.9, 0.18],
          [0.72, 0],
          [0.9, -0.18],
          [0.9, -0.5],
          [-0.9, -0.5],
          [-0.9, -0.18],
          [-0.72, 0],
          [-0.9, 0.18],
          [-0.9, 0.5],
        ),
      ],
      [
        line(0.15, [-0.5, 0.22], [0.5, 0.22]),
        line(0.15, [-0.5, 0], [0.3, 0]),
        line(0.15, [-0.5, -0.22], [0.5, -0.22]),
      ],
    ],
  },
  {
    key: 'key',
    names: ['key'],
    words: 'Key',
    blurb: 'The key of the stage door.',
    colours: [
      [
        line(0.28, ...arc(0, 0.6, 0.32, 0, 1, 12), [0.32, 0.6]),
        line(0.28, [0, 0.28], [0, -0.9]),
        line(0.28, [0, -0.55], [0.32, -0.55]),
        line(0.28, [0, -0.85], [0.4, -0.85]),
      ],
    ],
  },
  {
    key: 'feather',
    names: ['barbs', 'shaft'],
    words: 'Feather',
    blurb: 'A shaft, and barbs to either side.',
    colours: [
      [
        ...[-0.35, -0.1, 0.15, 0.4].flatMap((y) => [
          line(0.22, [0.03 * y, y], [-0.38, y + 0.28]),
          line(0.22, [0.03 * y, y], [0.38, y + 0.28]),
        ]),
        line(0.22, [0, 0.6], [0, 0.95]),
      ],
      [line(0.18, [0.05, -0.95], [0, -0.3], [0, 0.6])],
    ],
  },
  {
    key: 'fan',
    names: ['leaf of the fan', 'ribs'],
    words: 'Fan',
    blurb: 'Opened, with its ribs in another colour.',
    colours: [
      [fill([0, -0.7], ...arc(0, -0.7, 1.15, 0.42, 0.08, 12))],
      [0.14, 0.195, 0.25, 0.305, 0.36].map((turn) =>
        line(
          0.15,
          [0, -0.7],
          [1.05 * Math.cos(2 * Math.PI * turn), -0.7 + 1.05 * Math.sin(2 * Math.PI * turn)],
        ),
      ),
    ],
  },
  {
    key: 'note',
    names: ['notes'],
    words: 'Two notes',
    blurb: 'From the orchestra: two heads, two stems, a beam.',
    colours: [
      [
        fill(...arc(-0.5, -0.6, 0.26, 0, 1, 16, 0.2)),
        fill(...arc(0.5, -0.45, 0.26, 0, 1, 16, 0.2)),
        line(0.2, [-0.26, -0.6], [-0.26, 0.6]),
        line(0.2, [0.74, -0.45], [0.74, 0.75]),
        line(0.4, [-0.26, 0.6], [0.74, 0.75]),
      ],
    ],
  },
  {
    key: 'berry-sprig',
    names: ['stem and leaves', 'berries'],
    words: 'Sprig with berries',
    blurb: 'A bent stem, leaves, and berries last.',
    colours: [
      [
        line(0.22, [-0.3, -0.95], [0.05, -0.3], [0, 0.4], [0.2, 0.9]),
        fill([0.03, -0.2], [-0.4, 0.02], [-0.75, 0.1], [-0.45, -0.28]),
        fill([0.03, 0.2], [0.45, 0.4], [0.8, 0.42], [0.5, 0.1]),
      ],
      [dot(-0.25, 0.55, 0.15), dot(0.35, 0.75, 0.15), dot(0.5, -0.35, 0.15)],
    ],
  },
];

/** Patterns of lines in several colours, in the order in which they are drawn; each colour lies all over. */
export const PATTERNS: readonly (Omit<SmallMotif, 'colours'> & { colours: readonly Region[] })[] = [
  {
    key: 'plaid',
    names: ['wide checks', 'thin checks', 'second thin checks'],
    words: 'Plaid',
    blurb: 'Wide checks, and thin ones of two other colours between and on them.',
    colours: [
      checks({ count: 4, width_mm: 1.6, pitch_mm: 4.2 }),
      checks({ count: 4, width_mm: 0.3, pitch_mm: 4.2 }),
      checks({ count: 4, width_mm: 0.3, pitch_mm: 4.2, across: 0.3, along: 0.8 }),
    ],
  },
  {
    key: 'hatching',
    names: ['fine lines', 'lines across'],
    words: 'Hatching',
    blurb: 'Fine lines close by each other, crossed by others where it is to be darker.',
    colours: [
      checks({ count: 14, width_mm: 0.22, pitch_mm: 0.9, turn_deg: 45, crossed: false }),
      checks({ count: 10, width_mm: 0.22, pitch_mm: 1.3, turn_deg: -45, crossed: false }),
    ],
  },
];

function checks(over: Partial<Extract<Region, { kind: 'lines' }>>): Region {
  return {
    kind: 'lines',
    count: 4,
    width_mm: 0.5,
    pitch_mm: 3,
    turn_deg: 0,
    across: 0,
    along: 1,
    crossed: true,
    ...over,
  };
}

/** How large a small motif is laid: shares of the arc and of the way to the tip, about a place on the bed. */
const ACROSS = 0.42;
const ALONG = 0.27;
const PLACE = { across: 0, along: 0.82 } as const;

/** On the narrowest nail a stroke is thinned with it, and still drawn by a fine liner. */
const LEAST_MM = 0.22;

/** One colour of a small motif, as a part of a nail. */
export function motifRegion(strokes: readonly Stroke[]): Region {
  return {
    kind: 'paths',
    paths: strokes.map(({ points, width_mm }) => ({
      width_mm: Math.max(LEAST_MM, width_mm ?? 0.3),
      filled: width_mm === undefined,
      points: points.map(([x, y]) => ({
        across: rounded(PLACE.across + ACROSS * x, 3),
        along: rounded(PLACE.along + ALONG * y, 3),
      })),
    })),
  };
}
