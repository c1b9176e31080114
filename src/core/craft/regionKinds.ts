import type { Region } from '../model/region';
import { smileFields } from './smileFields';
import type { Field } from './technique';

type Figure = Omit<Extract<Field, { kind: 'number' }>, 'kind' | 'where'>;

const PLACES = { min: 0, max: 2, step: 0.05 } as const;

const SMILE: readonly Figure[] = smileFields();

const LINES: readonly Figure[] = [
  { path: 'count', words: 'Lines', min: 1, max: 30, step: 1 },
  { path: 'width_mm', words: 'Width', unit: 'mm', min: 0.05, max: 15, step: 0.05 },
  { path: 'pitch_mm', words: 'Apart', unit: 'mm', min: 0.1, max: 30, step: 0.1 },
  { path: 'turn_deg', words: 'Turn', unit: '°', min: -180, max: 180, step: 5 },
];

const DOTS: readonly Figure[] = [
  { path: 'rows', words: 'Rows', min: 1, max: 30, step: 1 },
  { path: 'columns', words: 'In a row', min: 1, max: 30, step: 1 },
  { path: 'dot_mm', words: 'Dot', unit: 'mm', min: 0.1, max: 10, step: 0.1 },
  { path: 'pitch_mm', words: 'Apart', unit: 'mm', min: 0.2, max: 20, step: 0.1 },
  { path: 'turn_deg', words: 'Turn', unit: '°', min: -180, max: 180, step: 5 },
];

/** The figures of wavy lines. */
export const WAVE_FIGURES: readonly Figure[] = [
  { path: 'wave.rise_mm', words: 'Wave, height', unit: 'mm', min: 0.05, max: 10, step: 0.05 },
  { path: 'wave.length_mm', words: 'Wave, length', unit: 'mm', min: 0.5, max: 40, step: 0.1 },
];

export interface RegionKind {
  kind: Region['kind'];
  words: string;
  fresh: Region;
  figures: readonly Figure[];
}

/** The regions that can be chosen by hand, each with its first values and figures. */
export const REGION_KINDS: readonly RegionKind[] = [
  { kind: 'whole', words: 'The whole nail', fresh: { kind: 'whole' }, figures: [] },
  {
    kind: 'band',
    words: 'A band across',
    fresh: { kind: 'band', from: 0.5, to: 1 },
    figures: [
      { path: 'from', words: 'From (0 cuticle, 2 tip)', ...PLACES },
      { path: 'to', words: 'To', ...PLACES },
    ],
  },
  {
    kind: 'tip',
    words: 'The tip, by a smile line',
    fresh: { kind: 'tip', smile: { rise_mm: 0, depth_mm: 2, tilt_mm: 0 } },
    figures: SMILE,
  },
  {
    kind: 'bed',
    words: 'The bed, up to a smile line',
    fresh: { kind: 'bed', smile: { rise_mm: 0, depth_mm: 2, tilt_mm: 0 } },
    figures: SMILE,
  },
  {
    kind: 'oval',
    words: 'An oval',
    fresh: { kind: 'oval', across: 0, along: 0.8, width_mm: 5, length_mm: 5, turn_deg: 0 },
    figures: [
      { path: 'across', words: 'Across (−1 to 1)', min: -1, max: 1, step: 0.05 },
      { path: 'along', words: 'Along (0 to 2)', ...PLACES },
      { path: 'width_mm', words: 'Width', unit: 'mm', min: 0.3, max: 40, step: 0.1 },
      { path: 'length_mm', words: 'Length', unit: 'mm', min: 0.3, max: 60, step: 0.1 },
      { path: 'turn_deg', words: 'Turn', unit: '°', min: -180, max: 180, step: 5 },
    ],
  },
  {
    kind: 'lines',
    words: 'Lines, stripes, checks, waves',
    fresh: {
      kind: 'lines',
      count: 3,
      width_mm: 0.6,
      pitch_mm: 1.8,
      turn_deg: 0,
      across: 0,
      along: 1,
      crossed: false,
    },
    figures: LINES,
  },
  {
    kind: 'dots',
    words: 'Dots',
    fresh: {
      kind: 'dots',
      rows: 5,
      columns: 4,
      dot_mm: 0.9,
      pitch_mm: 2.4,
      turn_deg: 0,
      across: 0,
      along: 1,
      staggered: true,
    },
    figures: DOTS,
  },
  {
    kind: 'letters',
    words: 'Letters',
    fresh: { kind: 'letters', text: 'A', height_mm: 5, width_mm: 0.5, turn_deg: 0, across: 0, along: 0.7 },
    figures: [
      { path: 'height_mm', words: 'Height', unit: 'mm', min: 0.5, max: 20, step: 0.1 },
      { path: 'width_mm', words: 'Line', unit: 'mm', min: 0.05, max: 3, step: 0.05 },
      { path: 'turn_deg', words: 'Turn', unit: '°', min: -180, max: 180, step: 5 },
    ],
  },
  {
    kind: 'path',
    words: 'A line drawn by hand',
    fresh: {
      kind: 'path',
      width_mm: 0.5,
      points: [
        { across: -0.4, along: 0.5 },
        { across: 0.3, along: 0.8 },
        { across: -0.3, along: 1.1 },
        { across: 0.4, along: 1.4 },
      ],
    },
    figures: [{ path: 'width_mm', words: 'Width', unit: 'mm', min: 0.05, max: 15, step: 0.05 }],
  },
  {
    kind: 'outline',
    words: 'A shape drawn by hand',
    fresh: {
      kind: 'outline',
      points: [
        { across: 0, along: 1.2 },
        { across: -0.45, along: 0.9 },
        { across: 0, along: 0.55 },
        { across: 0.45, along: 0.9 },
      ],
    },
    figures: [],
  },
];
