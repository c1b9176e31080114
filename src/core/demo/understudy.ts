import type { Look, SetDocument } from '../document/document';
import type { Edit } from '../document/edits';
import { fingerOf, NAILS, type Finger } from '../model/names';
import { newSet } from '../starter/newSet';

/** The understudy's first try: a practice set with real mistakes in its order and its sizes. */
const drawn = { fit: 'keep', hand: 'mirror', seat: 'usual' } as const;
const whole = { ...drawn, region: { kind: 'whole' } } as const;

const LOOKS: Look[] = [
  {
    id: 'wings',
    name: 'In the wings',
    key: 'a',
    elements: [{ id: 'ivory', kind: 'colour', ...whole, product: 'ivory-02', passes: 1 }],
  },
  {
    id: 'gels',
    name: 'Stage gels',
    key: 'b',
    elements: [
      {
        id: 'fade',
        kind: 'ombre',
        ...whole,
        direction: 'along',
        stops: [
          { product: 'lemon-05', at: 0.1 },
          { product: 'violet-09', at: 0.9 },
        ],
        passes: 3,
        how: 'brush',
      },
    ],
  },
  {
    id: 'props',
    name: 'Props table',
    key: 'c',
    elements: [
      { id: 'night', kind: 'colour', ...whole, product: 'night-blue', passes: 'cover' },
      {
        id: 'shards',
        kind: 'inlay',
        fit: 'keep',
        hand: 'mirror',
        clear: null,
        cap: 'level',
        pieces: [
          {
            across: 0,
            along: 0.55,
            length_mm: 5,
            width_mm: 4.5,
            thickness_mm: 0.12,
            stiffness: 1,
            turn_deg: 0,
            colour: '#d9c38a',
            shape: 'sliver',
            metallic: false,
          },
          {
            across: 0.1,
            along: 0.2,
            length_mm: 1.6,
            width_mm: 1.2,
            thickness_mm: 0.02,
            stiffness: 0.2,
            turn_deg: 0,
            colour: '#1f2d52',
            shape: 'leaf',
            metallic: false,
          },
        ],
        bed_um: 420,
        press: true,
        cap_um: 300,
        filing_um: 80,
        island: null,
      },
    ],
  },
  {
    id: 'spotlit',
    name: 'Spotlit',
    key: 'd',
    elements: [
      { id: 'violet', kind: 'colour', ...whole, product: 'violet-09', passes: 'cover' },
      {
        id: 'stones',
        kind: 'crystals',
        fit: 'repeat',
        seat: 'usual',
        sizes: ['SS12', 'SS7', 'SS5'],
        inset_mm: 0.7,
        gap_mm: 0.1,
        colour: '#eef3f6',
        bedding: 'practice',
        moved: [],
      },
    ],
  },
  {
    id: 'lantern',
    name: 'Lantern',
    key: 'e',
    elements: [
      { id: 'sage', kind: 'colour', ...whole, product: 'sage-03', passes: 'cover' },
      {
        id: 'lantern',
        kind: 'charm',
        ...drawn,
        fit: 'keep',
        bedding: 'gel',
        words: 'lantern',
        across: 0,
        along: 0.6,
        width_mm: 10.5,
        length_mm: 6,
        height_mm: 2,
        turn_deg: 0,
        shape: 'oval',
        colour: '#c9a14a',
        metallic: true,
      },
      {
        id: 'drops',
        kind: 'crystals',
        fit: 'keep',
        seat: 'usual',
        sizes: ['SS16', 'SS9'],
        inset_mm: 1.6,
        gap_mm: 0.1,
        colour: '#eef3f6',
        bedding: 'bedded',
        moved: [],
      },
    ],
  },
];

const WORN: Record<Finger, string> = {
  thumb: 'wings',
  index: 'gels',
  middle: 'spotlit',
  ring: 'props',
  little: 'lantern',
};

const MISTAKES: Edit[] = [
  // The shine left on.
  { kind: 'skip', a: 'left-thumb/prep/buff#1' },
  // Oil while it is at hand, before the base.
  { kind: 'before', a: 'right-thumb/care/oil#1', b: 'right-thumb/build/base#1' },
  // The base not cured before the ombre goes on.
  { kind: 'skip', a: 'left-index/build/cure-base#1' },
  // Wiping while the top is still wet.
  {
    kind: 'insert',
    id: 'tidy',
    nail: 'right-index',
    after: 'right-index/top/coat#1',
    verb: 'wipe',
    seconds: 5,
    words: 'Tidy the top with a wipe',
  },
  // Stones first, then the top over them.
  { kind: 'before', a: 'left-middle/stones/set#1', b: 'left-middle/top/coat#1' },
  // The sticky layer left on before the file.
  { kind: 'skip', a: 'left-ring/body/wipe#1' },
  // The dust of the file left on.
  { kind: 'skip', a: 'right-ring/body/brush#1' },
  { kind: 'skip', a: 'right-ring/body/clean#1' },
  // A step of a look that was changed since.
  { kind: 'hold', a: 'right-middle/glitter/coat#1' },
  // Top never cured.
  { kind: 'skip', a: 'right-middle/top/cure#1' },
];

export function understudy(): SetDocument {
  const set = newSet('understudy', 'Understudy');
  set.note =
    'A practice set: what goes wrong, and what the nail shows for it. Find the mistakes and mend them.';
  set.looks = structuredClone(LOOKS);
  set.builds[0] = {
    id: 'natural',
    kind: 'natural-gel',
    base: 'coat',
    name: 'Short and natural',
    shape: 'squoval',
  };
  for (const name of NAILS) {
    const nail = set.nails[name];
    set.nails[name] = { ...nail, plate: { ...nail.plate, free_edge_mm: 4 }, look: WORN[fingerOf(name)] };
  }
  set.nails['right-little'] = { ...set.nails['right-little'], look: 'wings' };
  set.edits = MISTAKES;
  return set;
}
