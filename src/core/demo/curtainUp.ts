import type { Element } from '../craft/techniques';
import type { Look, SetDocument } from '../document/document';
import { fingerOf, NAILS, type Finger } from '../model/names';
import { newSet } from '../starter/newSet';

/**
 * The opening night of a made-up repertory theatre: velvet-dark ground, a footlight ombre, a gilt proscenium
 * French, ticket slivers and leaf encapsulated on the ring fingers, chandelier stones, small metal masks.
 */
const drawn = { fit: 'scale', hand: 'mirror', seat: 'usual' } as const;
const whole = { ...drawn, region: { kind: 'whole' } } as const;

const velvet: Element = { id: 'velvet', kind: 'colour', ...whole, product: 'velvet-04', passes: 'cover' };

function sliver(
  across: number,
  along: number,
  length_mm: number,
  turn_deg: number,
  colour: string,
  leaf = false,
) {
  return {
    across,
    along,
    length_mm,
    width_mm: leaf ? 1.5 : 0.9,
    thickness_mm: leaf ? 0.01 : 0.05,
    stiffness: leaf ? 0 : 0.3,
    turn_deg,
    colour,
    shape: leaf ? ('leaf' as const) : ('sliver' as const),
    metallic: leaf,
  };
}

export const CURTAIN_UP_LOOKS: Look[] = [
  { id: 'velvet', name: 'House velvet', key: 'a', elements: [velvet] },
  {
    id: 'footlights',
    name: 'Footlights',
    key: 'b',
    elements: [
      {
        id: 'glow',
        kind: 'ombre',
        ...whole,
        direction: 'along',
        stops: [
          { product: 'amber-11', at: 0.12 },
          { product: 'ember-12', at: 0.5 },
          { product: 'plum-07', at: 0.88 },
        ],
        passes: 2,
        how: 'brush',
      },
    ],
  },
  {
    id: 'proscenium',
    name: 'Proscenium',
    key: 'c',
    elements: [
      { id: 'ground', kind: 'colour', ...whole, product: 'rose-nude', passes: 'cover' },
      {
        id: 'arch',
        kind: 'french',
        ...drawn,
        region: { kind: 'tip', smile: { rise_mm: 0.6, depth_mm: 2.6, tilt_mm: 0 } },
        product: 'velvet-04',
        passes: 'cover',
        tint: null,
        fade: null,
        second: null,
        liner: { product: 'gilt-liner', width_mm: 0.55 },
      },
    ],
  },
  {
    id: 'tickets',
    name: 'Ticket stubs',
    key: 'd',
    elements: [
      velvet,
      {
        id: 'stubs',
        kind: 'inlay',
        fit: 'scale',
        hand: 'mirror',
        clear: null,
        cap: 'level',
        pieces: [
          sliver(-0.36, 0.5, 4.2, 12, '#efe2c4'),
          sliver(0.04, 0.75, 4.8, -8, '#e9d5a6'),
          sliver(0.42, 0.48, 3.4, 24, '#f1e6cf'),
          sliver(-0.24, 1.12, 3.6, -20, '#e9d5a6'),
          sliver(0.34, 1.1, 3, 4, '#d8a440', true),
          sliver(-0.04, 0.26, 2.2, 60, '#d8a440', true),
          sliver(0.06, 1.3, 1.8, -40, '#e0b25a', true),
        ],
        bed_um: 60,
        press: true,
        cap_um: 480,
        filing_um: 80,
        island: null,
      },
    ],
  },
  {
    id: 'chandelier',
    name: 'Chandelier',
    key: 'e',
    elements: [
      { ...velvet, product: 'plum-07' },
      {
        id: 'stones',
        kind: 'crystals',
        fit: 'repeat',
        seat: 'usual',
        sizes: ['SS9', 'SS7', 'SS5', 'SS3'],
        inset_mm: 0.7,
        gap_mm: 0.15,
        colour: '#f3ead8',
        bedding: 'practice',
        moved: [],
      },
    ],
  },
  {
    id: 'mask',
    name: 'Mask',
    key: 'f',
    elements: [
      velvet,
      {
        id: 'hush',
        kind: 'finish',
        region: { kind: 'whole' },
        fit: 'scale',
        hand: 'mirror',
        finish: 'matte',
        doubled: false,
        thick_um: null,
        underside: false,
      },
      {
        id: 'mask',
        kind: 'charm',
        ...drawn,
        fit: 'keep',
        bedding: 'glue',
        words: 'mask',
        across: 0,
        along: 0.72,
        width_mm: 6,
        length_mm: 4.2,
        height_mm: 1.1,
        turn_deg: 0,
        shape: 'mask',
        colour: '#d3a548',
        metallic: true,
      },
      {
        id: 'spotlight',
        kind: 'finish',
        region: { kind: 'tip', smile: { rise_mm: 1.4, depth_mm: 2.4, tilt_mm: 0 } },
        fit: 'scale',
        hand: 'mirror',
        finish: 'gloss',
        doubled: false,
        thick_um: null,
        underside: false,
      },
    ],
  },
];

const WORN: Record<Finger, string> = {
  thumb: 'mask',
  index: 'proscenium',
  middle: 'chandelier',
  ring: 'tickets',
  little: 'footlights',
};

export function curtainUp(): SetDocument {
  const set = newSet('curtain-up', 'Curtain Up');
  set.note = 'Opening night at the repertory theatre. Leading lady: long, dark, warm under the lights.';
  set.looks = structuredClone(CURTAIN_UP_LOOKS);
  set.builds = [
    { id: 'natural', kind: 'natural-gel', base: 'coat', name: 'Natural', shape: 'round' },
    {
      id: 'tips',
      kind: 'soft-gel-tip',
      art: 'above',
      filler: null,
      name: 'Almond tips',
      shape: 'almond',
      length_mm: 8,
    },
  ];
  for (const name of NAILS) {
    set.nails[name] = { ...set.nails[name], build: 'tips', look: WORN[fingerOf(name)] };
  }
  return set;
}
