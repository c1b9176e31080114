import { buildKindOf } from '../craft/builds';
import type { SetDocument } from '../document/document';
import { NAILS } from '../model/names';
import type { Region } from '../regions';
import { colour, holdAsWritten, type ByHand } from '../testing/byHand';
import { element, QUICK, setWearing } from '../testing/sets';
import { planSet } from './planSet';

const TIP: Region = { kind: 'tip', smile: { rise_mm: 0, depth_mm: 2, tilt_mm: 0 } };
const BED: Region = { kind: 'bed', smile: { rise_mm: 0, depth_mm: 2, tilt_mm: 0 } };
const band = (from: number, to: number): Region => ({ kind: 'band', from, to });
const SPOT: Region = { kind: 'oval', across: 0, along: 0.7, width_mm: 3, length_mm: 2, turn_deg: 0 };
const gloss = element('finish', { id: 'gloss', finish: 'gloss' });
const ACRYLIC: [string, object] = ['sculpted-form', { material: 'acrylic' }];
const stones = (bedding: 'bedded' | 'wet-top' | 'acrylic' | 'stone-gel', over: object = {}) =>
  element('crystals', { id: 'stones', bedding, ...over } as never);
const row = (count: number) =>
  Array.from({ length: count }, (_, i) => ({
    ...element('inlay').pieces[0]!,
    across: -0.6 + 0.2 * (i % 7),
    along: 0.4 + 0.13 * Math.floor(i / 7),
    length_mm: 1,
    width_mm: 0.6,
  }));
const workingFor = (working_s: number, dry_s: number) => (set: SetDocument) => {
  for (const one of set.kit.products) if (one.family === 'acrylic') Object.assign(one, { working_s, dry_s });
};

/** Acrylic on a form as far as its first pinch, and from its last bead to its filing. */
const SCULPTED = 'build: sculpt, pinch';
const ENDED = 'build: pinch, rest, tap, form-off, file+';
const SEAL = 'top: top, cure';

const DOCUMENTS: Record<string, ByHand[]> = {
  'the list is the order': [
    {
      says: 'leaf over a marble in dip',
      build: ['dip'],
      look: [
        element('marbled', {
          id: 'marble',
          ground: false,
          parts: [
            { product: 'dip-rose', share: 0.6 },
            { product: 'dip-white', share: 0.4 },
          ],
        }),
        element('sheets', { id: 'leaf' }),
      ],
      order: `marble: make; build: dip, dust-off; marble: dip, dust-off, dip, dust-off; build: activate, file+;
        leaf: base, cure, lay-sheet; ${SEAL}`,
    },
    {
      says: 'the coloured tip before the bed, in acrylic',
      build: ACRYLIC,
      look: [colour('tip', 'acrylic-white', TIP), colour('bed', 'acrylic-blush', BED)],
      order: `${SCULPTED}; tip: sculpt; bed: sculpt; ${ENDED}; ${SEAL}`,
    },
    {
      says: 'bands, then a veil over them, and ridges last on what is filed',
      build: ACRYLIC,
      look: [
        colour('high', 'acrylic-blush', band(1, 2)),
        colour('low', 'acrylic-plum', band(0, 1), { passes: 2 }),
        element('poured', { id: 'veil', form: 'bead', t_um: 300, product: 'acrylic-a' }),
        element('relief', { id: 'ridge', product: 'acrylic-plum', seat: 'surface', region: SPOT }),
      ],
      order: `${SCULPTED}; high: sculpt; low: sculpt; veil: sculpt; ${ENDED};
        ridge: draw, rest, rest; ${SEAL}`,
    },
    {
      says: 'a drawing on the top of an acrylic nail',
      build: ACRYLIC,
      look: [colour('bed', 'acrylic-blush'), gloss, colour('feather', 'white-art', band(0.4, 0.55))],
      order: `${SCULPTED}; bed: sculpt; ${ENDED}; gloss: top, cure; feather: coat, cure`,
    },
    {
      says: 'foil under a stamped image',
      look: [
        colour('velvet', 'velvet-04', undefined, { passes: 2 }),
        element('sheets', { id: 'foil', what: 'foil', gel: 'foil-a', whole: 0.9, region: band(0.2, 1.2) }),
        element('sheets', { id: 'image', what: 'stamp', region: band(0.5, 0.9), thickness_um: 5 }),
      ],
      order: `build: base, cure; velvet: coat, cure, coat, cure; foil: coat, cure, lay-sheet;
        image: wipe, stamp; ${SEAL}`,
    },
    {
      says: 'two powders on one slick top, with ridges between them in the list',
      look: [
        colour('velvet', 'velvet-04', undefined, { passes: 2 }),
        gloss,
        element('powder', { id: 'first', own_top: false, region: band(0, 0.5) }),
        element('relief', { id: 'ridge', seat: 'surface', product: 'cover-a', region: SPOT }),
        element('powder', { id: 'second', own_top: false, region: band(1, 2) }),
      ],
      order: `build: base, cure; velvet: coat, cure, coat, cure; gloss: top, cure; first: burnish, dust-off;
        ridge: draw, flash, cure, wipe; second: burnish, dust-off; ${SEAL}`,
    },
    {
      says: 'colour over a top that is listed under it',
      look: [gloss, colour('velvet', 'velvet-04', undefined, { passes: 2 })],
      order: `build: base, cure; gloss: top, cure; velvet: buff, dust-off, wipe, coat, cure, coat, cure; ${SEAL}`,
    },
    {
      says: 'acrylic at the tip of a half tip, over its built bed',
      build: ['half-tip', { french: { product: 'cover-a', smile: TIP.smile } }],
      look: [colour('tip', 'acrylic-white', TIP)],
      order: `build: glue-tip, rest, blend, dust-off, wipe, base, cure, cap, flash, cure, wipe, buff, dust-off, wipe;
        tip: sculpt, buff, dust-off, wipe; body: cap, flash, cure, wipe, file+; ${SEAL}`,
    },
    {
      says: 'stones that are listed first are set into the top that comes last',
      look: [stones('wet-top'), colour('velvet', 'velvet-04', undefined, { passes: 2 })],
      order: `build: base, cure; velvet: coat, cure, coat, cure; top: top; stones: set-in-top; top: cure`,
    },
    {
      says: 'loose glitter on an acrylic that is filed',
      build: ACRYLIC,
      look: [element('glitter', { id: 'dust' })],
      order: `build: sculpt, pinch, rest, tap, form-off, file+; dust: base, cure, strew, dust-off, cap, cure; ${SEAL}`,
      told: ['underside-bare'],
    },
  ],
  'what melts and sets': [
    {
      says: 'slivers in acrylic: one body, pinched twice and filed once',
      build: ACRYLIC,
      look: [element('inlay', { id: 'slivers' })],
      order: `${SCULPTED}; body: bed; slivers: place, press; body: rest, cap; build: pinch, rest, tap, form-off; body: file+; ${SEAL}`,
      told: ['underside-bare'],
    },
    {
      says: 'a tip under its slivers and their cap, filed once and over them',
      build: ACRYLIC,
      look: [colour('tip', 'acrylic-white', TIP), element('inlay', { id: 'slivers' })],
      order: `${SCULPTED}; tip: sculpt; body: bed; slivers: place, press; body: rest, cap;
        build: pinch, rest, tap, form-off; body: file+; ${SEAL}`,
    },
    {
      says: 'thirteen stones into acrylic that works for a minute: as many at a time as are in before it is dull',
      build: ACRYLIC,
      change: workingFor(60, 240),
      look: [stones('acrylic', { sizes: ['SS5', 'SS5', 'SS3', 'SS3', 'SS3', 'SS3'], fit: 'keep' })],
      order: `build: sculpt, pinch, rest, tap, form-off, file+; stones: bead, set-in-bead, bead, set-in-bead, bead, set-in-bead; ${SEAL}`,
      told: ['underside-bare'],
    },
    {
      says: 'twenty-eight pieces into acrylic that works for a minute and a half',
      build: ACRYLIC,
      look: [element('inlay', { id: 'slivers', pieces: row(28) })],
      order: `${SCULPTED}; body: bed; slivers: place, press; body: bed; slivers: place, press; body: rest, cap;
        build: pinch, rest, tap, form-off; body: file+; ${SEAL}`,
      told: ['underside-bare'],
    },
    {
      says: 'acrylic over cured gel on the natural nail: keyed first, filed after',
      look: [colour('velvet', 'velvet-04', undefined, { passes: 2 }), colour('tip', 'acrylic-white', TIP)],
      order: `build: base, cure; velvet: coat, cure, coat, cure; tip: wipe, buff, dust-off, wipe, sculpt, buff, dust-off, wipe; ${SEAL}`,
      told: ['edge-thick'],
    },
    {
      says: 'acrylic on a top',
      look: [gloss, colour('tip', 'acrylic-white', TIP)],
      order: `build: base, cure; gloss: top, cure; tip: buff, dust-off, wipe, sculpt, buff, dust-off, wipe; ${SEAL}`,
      told: ['edge-thick'],
    },
    {
      says: 'ridges of acrylic on a top: keyed as for a colour',
      look: [
        colour('velvet', 'velvet-04', undefined, { passes: 2 }),
        gloss,
        element('relief', { id: 'ridge', product: 'acrylic-plum', seat: 'surface' }),
      ],
      order: `build: base, cure; velvet: coat, cure, coat, cure; gloss: top, cure;
        ridge: buff, dust-off, wipe, draw, rest, rest; ${SEAL}`,
    },
    {
      says: 'slivers in acrylic over gel, where the build is builder',
      build: ['natural-builder'],
      look: [element('inlay', { id: 'slivers', clear: 'acrylic-a' })],
      order: `build: base, cure; body: wipe, buff, dust-off, wipe, bed; slivers: place, press;
        body: rest, cap, tap, file+, cap, flash, cure, wipe, file+; ${SEAL}`,
    },
    {
      says: 'gel lines and stones over a French in dip',
      build: [
        'dip',
        {
          french: {
            product: 'dip-rose',
            filler: 'dip-white',
            smile: { rise_mm: 0, depth_mm: 2, tilt_mm: 0 },
          },
        },
      ],
      look: [colour('line', 'gilt-liner', band(0.9, 0.95)), stones('wet-top')],
      order: `build: dip, dust-off, dip, dust-off, dip, dust-off, activate, buff, dust-off, wipe,
        dip, dust-off, dip, dust-off, dip, dust-off, activate, file+; line: draw, cure; top: top; stones: set-in-top; top: cure`,
    },
    {
      says: 'a form in builder under a lamp whose shortest programme is half a minute: flashed by hand, pinched, cured',
      build: ['sculpted-form'],
      change: (set) => (set.kit.lamps[0]!.programmes_s = [30, 60, 90]),
      look: [colour('velvet', 'velvet-04', undefined, { passes: 2 })],
      order: `build: base, cure, fit-form, cap, flash, pinch, cure, form-off; body: cap, flash, cure, wipe, file+;
        velvet: coat, cure, coat, cure; ${SEAL}`,
    },
    {
      says: 'a builder whose flash is as long as its cure: one light',
      build: ['natural-builder'],
      change: (set) => {
        for (const one of set.kit.products)
          if (one.id === 'builder-a') one.lamp = { cure_s: 60, flash_s: 60, depth_um: 700 };
      },
      look: [colour('velvet', 'velvet-04', undefined, { passes: 2 })],
      order: `build: base, cure; body: cap, cure, wipe, file+; velvet: coat, cure, coat, cure; ${SEAL}`,
    },
    {
      says: 'stones in thick gel, a top over them: they have their light before it',
      change: (set) => (set.practice.stone_top = 'over'),
      look: [colour('velvet', 'velvet-04', undefined, { passes: 2 }), stones('stone-gel')],
      order: `build: base, cure; velvet: coat, cure, coat, cure; stones: bead, set-in-bead; top: cure, top-over, cure`,
    },
    {
      says: 'bedded stones, and a top over them: the stones are hard first',
      change: (set) => (set.practice.stone_top = 'over'),
      look: [colour('velvet', 'velvet-04', undefined, { passes: 2 }), stones('bedded')],
      order: `build: base, cure; velvet: coat, cure, coat, cure; stones: bead, set-in-bead, flash; top: top-over, cure`,
    },
    {
      says: 'stones in wet colour set into a thin clear that is poured',
      look: [
        colour('velvet', 'velvet-04', undefined, { passes: 2 }),
        element('poured', { id: 'dew', form: 'level', t_um: 250, product: 'builder-a' }),
        element('crystals', { id: 'stones', bedding: 'wet-colour', sizes: ['SS3', 'SS3'] }),
      ],
      order: `build: base, cure; velvet: coat, cure, coat, cure; dew: cap; stones: set-in-colour; dew: flash, cure; ${SEAL}`,
    },
  ],
};

DOCUMENTS['what could not be said'] = [
  {
    says: 'a matte of its own on one element, gloss on all else',
    look: [
      colour('velvet', 'velvet-04', undefined, { passes: 2 }),
      element('finish', { id: 'hush', finish: 'matte', region: SPOT, product: 'matte-a' }),
    ],
    order: `build: base, cure; velvet: coat, cure, coat, cure; top: top, cure; hush: matte-top, cure`,
  },
  {
    says: 'a top that is wiped on one set of nails, from below as well',
    build: ['sculpted-form'],
    change: (set) =>
      set.kit.products.push({
        ...set.kit.products.find(({ id }) => id === 'top-a')!,
        id: 'top-b',
        name: 'Wipe top B',
        family: 'top-wipe',
      }),
    look: [element('finish', { id: 'gloss', finish: 'gloss', product: 'top-b' })],
    order: `build: base, cure, cap, flash, pinch, cure, form-off; body: cap, flash, cure, wipe, file+; gloss: top, cure, wipe`,
    told: ['underside-bare'],
  },
  {
    says: 'half tips that come with a French: keyed and not blended, with clear over them',
    build: ['half-tip', { edge: { colour: '#f6f2ea', smile: TIP.smile } }],
    look: [],
    order: `build: glue-tip, rest, buff, dust-off, wipe, base, cure; body: cap, flash, cure, wipe, file+; ${SEAL}`,
  },
  {
    says: 'sugar on the last of two layers',
    look: [
      colour('velvet', 'velvet-04', undefined, { passes: 2 }),
      element('finish', { id: 'hush', finish: 'matte' }),
      element('relief', { id: 'knit', region: SPOT, layers: 2, sugar: true, sugared: 'last' }),
    ],
    order: `build: base, cure; velvet: coat, cure, coat, cure; hush: matte-top, cure;
      knit: draw, flash, cure, draw, strew, flash, cure, dust-off`,
  },
  {
    says: 'the stones of last time come off before the infill is filed',
    change: (set) =>
      (set.nails['left-ring'].start = { kind: 'infill', weeks: 3, gap_mm: null, mend: 'no', stones: true }),
    build: ['natural-builder'],
    look: [colour('velvet', 'velvet-04', undefined, { passes: 2 })],
    order: `prep: stones-off; build: base, cure; body: cap, flash, cure, wipe, file+; velvet: coat, cure, coat, cure; ${SEAL}`,
  },
];

holdAsWritten(DOCUMENTS);

it('a plain form is pinched under a lamp whose shortest programme is half a minute, as the sitting lights it', () => {
  const set = setWearing([colour('velvet', 'velvet-04', undefined, { passes: 2 })], (one) => {
    one.builds.push(buildKindOf('sculpted-form').fresh('test'));
    for (const nail of NAILS) one.nails[nail].build = 'test';
    one.kit.lamps[0]!.programmes_s = [30, 60, 90];
  });
  const { findings } = planSet(set, QUICK);
  expect(findings.filter(({ severity }) => severity === 'stop').map(({ message }) => message)).toEqual([]);
});
