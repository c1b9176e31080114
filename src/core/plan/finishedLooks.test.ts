import { buildKindOf, type Build } from '../craft/builds';
import type { Element } from '../craft/techniques';
import type { SetDocument } from '../document/document';
import { compileNail } from '../compile/compile';
import { NAILS } from '../model/names';
import { element, findingsOn, islandInlay, setWearing } from '../testing/sets';

/* Finished looks as artists ask for them, each said without a workaround: they plan quiet, and their cards can be read. */

const on =
  (kind: Build['kind'], over: object = {}) =>
  (set: SetDocument): void => {
    set.builds = [{ ...buildKindOf(kind).fresh('build'), ...over } as Build];
    for (const nail of NAILS) set.nails[nail].build = 'build';
  };
const A = on('sculpted-form', { material: 'acrylic', length_mm: 8 });
const b = (...stops: [string, number][]) =>
  element('built', { stops: stops.map(([product, at]) => ({ product, at })) });
const col = (product: string) => element('colour', { id: 'ground', product, passes: 'cover' });
const matte = element('finish', { id: 'matte', finish: 'matte' });
const LOOKS: [string, Element[], (set: SetDocument) => void][] = [
  [
    'rainbow in acrylic beads',
    [b(['acrylic-white', 0.1], ['acrylic-blush', 0.5], ['acrylic-plum', 0.95])],
    A,
  ],
  [
    'shimmer fade with veil and slivers',
    [
      col('night-blue'),
      element('fade', { product: 'gilt-liner' }),
      element('glitter', { shape: 'sliver', size_mm: 1, per_cm2: 25, fade: null, cover_um: 220 }),
    ],
    on('natural-gel'),
  ],
  [
    'acrylic island framed and filed back',
    [b(['acrylic-plum', 0.5]), islandInlay({ clear: 'acrylic-a' })],
    A,
  ],
  [
    'glitter fade with hexagons under hard gel',
    [
      col('rose-nude'),
      element('glitter', { id: 'fine', size_mm: 0.15, thickness_um: 12, per_cm2: 2500, cover_um: 0 }),
      element('glitter', { id: 'hex', size_mm: 0.8, per_cm2: 30, cover_um: 260 }),
    ],
    on('natural-builder'),
  ],
  [
    'half-mixed marble on form',
    [
      b(['putty-ivory', 0.5]),
      element('marbled', {
        parts: [
          { product: 'putty-ivory', share: 0.6 },
          { product: 'putty-blush', share: 0.4 },
        ],
        ground: false,
      }),
    ],
    on('sculpted-form', { material: 'putty', length_mm: 6 }),
  ],
  [
    'putty bed outlined, clear tip with glitter and leaf',
    [
      element('colour', {
        id: 'bed',
        product: 'putty-blush',
        passes: 1,
        region: { kind: 'bed', smile: { rise_mm: 0, depth_mm: 2, tilt_mm: 0 } },
      }),
      element('glitter', {
        region: { kind: 'tip', smile: { rise_mm: 0, depth_mm: 2, tilt_mm: 0 } },
        fade: null,
        per_cm2: 500,
        tack: true,
      }),
      element('sheets', { tack: true }),
      element('french', { product: 'putty-blush', liner: { product: 'gilt-liner', width_mm: 0.4 } }),
    ],
    on('sculpted-form', { length_mm: 6 }),
  ],
  [
    'micro-beads whole nail',
    [
      col('ivory-02'),
      element('glitter', {
        shape: 'round',
        size_mm: 0.5,
        thickness_um: 500,
        per_cm2: 380,
        fade: null,
        metallic: false,
        colour: '#f3ece0',
        cover_um: 0,
      }),
    ],
    on('natural-gel'),
  ],
  ['knit relief over matte', [col('sage-03'), matte, element('relief', { sugar: true })], on('natural-gel')],
  [
    'flakes burnished at the tip',
    [col('night-blue'), element('powder', { region: { kind: 'band', from: 1, to: 2 } })],
    on('natural-gel'),
  ],
  [
    'decal on matte with gloss accent',
    [
      col('rose-nude'),
      element('sheets', {
        what: 'decal',
        metallic: false,
        whole: 1,
        colour: '#3a2a55',
        region: { kind: 'oval', across: 0, along: 0.8, width_mm: 4, length_mm: 5, turn_deg: 0 },
      }),
      matte,
      element('finish', {
        id: 'acc',
        finish: 'gloss',
        region: { kind: 'oval', across: 0, along: 0.8, width_mm: 4.6, length_mm: 5.6, turn_deg: 0 },
      }),
    ],
    on('natural-gel'),
  ],
  ['crescent of stones', [col('velvet-04'), element('crystals')], on('natural-gel')],
  [
    'moulded rose with stones in glue',
    [
      b(['acrylic-blush', 0.5]),
      element('charm', { shape: 'rose', metallic: false, colour: '#d98a96', bedding: 'gel', words: 'rose' }),
      element('stones', { stones: [{ size: 'SS3', across: -0.5, along: 0.5, colour: '#eef3f6' }] }),
    ],
    A,
  ],
  [
    'stencilled heart with pattern',
    [
      col('rose-nude'),
      element('colour', {
        id: 'heart',
        product: 'velvet-04',
        region: { kind: 'oval', across: 0, along: 0.8, width_mm: 5, length_mm: 5, turn_deg: 0 },
      }),
      element('colour', {
        id: 'dots',
        product: 'ivory-02',
        passes: 1,
        within: { element: 'heart', outside: false },
        region: {
          kind: 'dots',
          rows: 8,
          columns: 8,
          dot_mm: 0.6,
          pitch_mm: 1.1,
          turn_deg: 0,
          across: 0,
          along: 0.8,
          staggered: true,
        },
      }),
    ],
    on('natural-gel'),
  ],
  [
    'lettering in dots',
    [
      col('ivory-02'),
      element('relief', {
        product: 'white-art',
        height_um: 120,
        region: {
          kind: 'dots',
          rows: 3,
          columns: 3,
          dot_mm: 0.8,
          pitch_mm: 1.6,
          turn_deg: 0,
          across: 0,
          along: 0.8,
          staggered: false,
        },
      }),
    ],
    on('natural-gel'),
  ],
  [
    'stripe of mirror powder sealed',
    [
      col('night-blue'),
      element('powder', {
        region: {
          kind: 'lines',
          count: 1,
          width_mm: 1,
          pitch_mm: 2,
          turn_deg: 0,
          across: 0,
          along: 1,
          crossed: false,
        },
      }),
    ],
    on('natural-gel'),
  ],
  ['tip in one acrylic, bed in another', [b(['acrylic-blush', 0.6], ['acrylic-white', 0.62])], A],
];

describe.each(LOOKS)('%s', (_, elements, change) => {
  const set = setWearing(elements, change);

  it.each(['left-ring', 'right-thumb', 'left-little'] as const)(
    'on the %s: no stop, one warning at most',
    (nail) => {
      const found = findingsOn(set, nail).filter(({ severity }) => severity !== 'note');
      expect(found.filter(({ severity }) => severity === 'stop')).toEqual([]);
      expect(found.length).toBeLessThanOrEqual(1);
      // A heavy edge is true of what is laid thick over it; nothing else is.
      for (const { code } of found) expect(code).toBe('edge-thick');
    },
  );

  it('has a card without ids, numbers run wild or words that are none', () => {
    for (const { words, reason, hand_s } of compileNail(set, 'left-ring').operations) {
      expect(words).not.toMatch(/undefined|NaN|null|\d\.\d{3}|\b[a-z]+-\d\d\b/);
      expect(words).toMatch(/^\S.*\S$/);
      expect(reason.length).toBeGreaterThan(10);
      expect(hand_s).toBeGreaterThanOrEqual(0);
    }
  });

  it('shows every one of its elements in its operations, but for the build', () => {
    const has = new Set(compileNail(set, 'left-ring').operations.map((one) => one.element));
    for (const { id, kind } of elements) if (kind !== 'built') expect(has).toContain(id);
  });
});
