import type { SetDocument } from '../document/document';
import { NAILS } from '../model/names';
import type { Start } from '../model/start';
import type { Region } from '../regions';
import { colour, holdAsWritten, setByHand, type ByHand } from '../testing/byHand';
import { element, islandInlay, QUICK } from '../testing/sets';
import { planSet } from './planSet';

const velvet = colour('velvet', 'velvet-04', undefined, { passes: 2 });
const VELVET = 'velvet: coat, cure, coat, cure';
const SEAL = 'top: top, cure';
const TIP: Region = { kind: 'tip', smile: { rise_mm: 0, depth_mm: 2, tilt_mm: 0 } };
const onPlate = { seat: 'plate' };
const starts = (start: Start) => (set: SetDocument) => {
  for (const nail of NAILS) set.nails[nail].start = start;
};

const DOCUMENTS: Record<string, ByHand[]> = {
  'what could not be said: on the plate, on a part': [
    {
      says: 'colour on the plate, then the form and the extension over it',
      build: ['sculpted-form'],
      look: [colour('velvet', 'velvet-04', undefined, { passes: 2, ...onPlate })],
      order: `build: base, cure; ${VELVET}; build: fit-form, cap, flash, pinch, cure, form-off;
        body: cap, flash, cure, wipe, file+; ${SEAL}`,
      told: ['underside-bare'],
    },
    {
      says: 'magnetic colour on the plate, acrylic over it',
      build: ['sculpted-form', { material: 'acrylic' }],
      look: [element('magnetic', { id: 'shimmer', seat: 'plate' })],
      order: `shimmer: base, cure, coat, magnet, flash, cure; build: wipe, buff, dust-off, wipe, sculpt, pinch, rest, tap, form-off, file+; ${SEAL}`,
      told: ['underside-bare'],
    },
    {
      says: 'acrylic with its art under it: thin, the colour, then clear beads over all of it',
      build: ['sculpted-form', { material: 'acrylic', art: 'under' }],
      look: [velvet],
      order: `build: sculpt, pinch, rest, tap, form-off, file+; ${VELVET};
        body: wipe, buff, dust-off, wipe, cap, tap, file+; ${SEAL}`,
    },
    {
      says: 'acrylic with acrylic under it: one body',
      build: ['sculpted-form', { material: 'acrylic', art: 'under' }],
      look: [colour('tip', 'acrylic-white', TIP)],
      order: `build: sculpt, pinch; tip: sculpt; body: cap; build: pinch, rest, tap, form-off; body: file+; ${SEAL}`,
    },
    {
      says: 'builder over the stress area alone',
      build: ['natural-builder', { part: 'stress-area' }],
      look: [velvet],
      order: `build: base, cure; body: cap, flash, cure, wipe, file+; ${VELVET}; ${SEAL}`,
    },
    {
      says: 'builder on the outer half, over a base that peels',
      build: ['natural-builder', { part: 'outer-half', base: 'peel-off' }],
      look: [velvet],
      order: `build: base, cure; body: cap, flash, cure, wipe, file+; ${VELVET}; ${SEAL}`,
    },
    {
      says: 'half tips with base on the plate alone, putty over the keyed tip',
      build: ['half-tip', { base: 'plate', material: 'putty' }],
      look: [velvet],
      order: `build: glue-tip, rest, blend, dust-off, wipe, base, cure; body: cap, flash, cure, wipe, file+; ${VELVET}; ${SEAL}`,
    },
  ],
  'what could not be said: flakes, moulds, pieces': [
    {
      says: 'flakes dabbed with gaps into a wet coat, builder over them gripping between',
      look: [
        velvet,
        element('flakes', { id: 'gilt', on: 'wet', manner: 'dabbed', left: 'gaps', fade: null }),
        element('poured', { id: 'dew', form: 'level', t_um: 150, product: 'builder-a' }),
      ],
      order: `build: base, cure; ${VELVET}; gilt: base, lay-sheet, cure, dust-off; dew: cap, flash, cure; ${SEAL}`,
    },
    {
      says: 'a mould filled with half-mixed putty',
      build: ['upper-mould', { material: 'putty' }],
      look: [
        element('half-mixed', {
          id: 'stone',
          parts: [
            { product: 'putty-blush', share: 0.7 },
            { product: 'putty-ivory', share: 0.3 },
          ],
        }),
      ],
      order: `build: base, cure, fill-mould, press-mould, flash, wipe-spill, cure, mould-off, file+; ${SEAL}`,
    },
    {
      says: 'a mould filled with acrylic, topped as it comes out of it',
      build: ['upper-mould', { material: 'acrylic', keyed: false }],
      look: [],
      order: `build: press-mould, mould-off, dust-off, wipe; ${SEAL}`,
      told: ['underside-bare'],
    },
    {
      says: 'slivers by halves, hexagons dabbed into the same wet gel',
      build: ['natural-builder'],
      look: [
        element('inlay', { id: 'slivers', halves: true }),
        element('glitter', { id: 'hexagons', in_bed: true }),
      ],
      order: `build: base, cure; body: bed; slivers: place, press; body: flash, bed; slivers: place, press; hexagons: strew;
        body: flash; hexagons: dust-off; body: cap, flash, cure, wipe, file+; ${SEAL}`,
    },
    {
      says: 'hexagons dabbed into the bed of slivers that are listed after them',
      build: ['natural-builder'],
      look: [element('glitter', { id: 'hexagons', in_bed: true }), element('inlay', { id: 'slivers' })],
      order: `build: base, cure; body: bed; slivers: place, press; hexagons: strew; body: flash; hexagons: dust-off;
        body: cap, flash, cure, wipe, file+; ${SEAL}`,
    },
  ],
  'what could not be said: how the nail is found': [
    {
      says: 'an island in acrylic on a practice tip',
      build: ['sculpted-form', { material: 'acrylic' }],
      look: [islandInlay({ id: 'isle', clear: 'acrylic-a' })],
      change: starts({ kind: 'practice' }),
      order: `build: sculpt, pinch; isle: bed, place, press, rest, cap, rest; body: cap; build: pinch, rest, tap, form-off;
        body: file+; ${SEAL}`,
      told: ['underside-bare'],
    },
    {
      says: 'a nail that is prepared and primed: the first thing is its base',
      look: [velvet],
      change: starts({ kind: 'prepared', primed: true }),
      order: `build: base, cure; ${VELVET}; ${SEAL}`,
    },
    {
      says: 'a builder whose direction gives two times by thickness',
      build: ['natural-builder'],
      change: (set) => {
        for (const one of set.kit.products)
          if (one.id === 'builder-a')
            one.lamp = { cure_s: 60, flash_s: 10, depth_um: 100, thick: { from_um: 700, cure_s: 90 } };
      },
      look: [colour('tip', 'white-art', TIP)],
      order: `build: base, cure; body: cap, flash, cure, wipe, file+; tip: coat, cure; ${SEAL}`,
    },
  ],
};

holdAsWritten(DOCUMENTS);

it('the moulds of one hand are filled alike, one after the other, while the other hand cures', () => {
  const set = setByHand({
    says: '',
    build: ['upper-mould', { material: 'putty' }],
    look: [velvet],
    order: '',
  });
  const { sitting } = planSet(set, QUICK);
  const fills = sitting.strokes.filter(({ operation }) => operation.includes('/fill-mould#'));
  expect(fills).toHaveLength(10);
  const cures = sitting.loads.filter(({ held }) => !held);
  const meanwhile = fills.filter((fill) =>
    cures.some(
      (load) => load.hand !== fill.hand && load.start_s <= fill.start_s && fill.start_s < load.end_s,
    ),
  );
  expect(meanwhile.length).toBeGreaterThanOrEqual(2);
});
