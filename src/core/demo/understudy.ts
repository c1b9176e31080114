import type { Look, SetDocument } from '../document/document';
import type { Edit } from '../document/edits';
import { fingerOf, NAILS, type Finger, type NailName } from '../model/names';
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
  // How a technique is done, and not only in which order.
  {
    id: 'tinsel',
    name: 'Tinsel',
    key: 'f',
    elements: [
      { id: 'rose', kind: 'colour', ...whole, product: 'rose-nude', passes: 'cover' },
      // Full foil on the sticky layer of a colour: it takes in patches.
      {
        id: 'tinsel',
        kind: 'sheets',
        ...drawn,
        region: { kind: 'band', from: 0.9, to: 1.9 },
        what: 'foil',
        colour: '#c9ccd1',
        metallic: true,
        thickness_um: 2,
        whole: 0.95,
        shred_mm: 1.6,
        tack: false,
      },
    ],
  },
  {
    id: 'follow-spot',
    name: 'Follow spot',
    key: 'g',
    elements: [
      { id: 'night', kind: 'colour', ...whole, product: 'night-blue', passes: 'cover' },
      // A weak magnet held far off, and far too long.
      {
        id: 'beam',
        kind: 'magnetic',
        ...whole,
        product: 'footlight-magnetic',
        passes: 1,
        drawn: 'last',
        magnet: 'Fridge magnet',
        pull: { form: 'round', strength: 'weak' },
        form: 'line',
        across: 0,
        along: 0.8,
        turn_deg: 25,
        width_mm: 2.5,
        distance_mm: 6,
        hold_s: 45,
      },
    ],
  },
  {
    id: 'scene-dock',
    name: 'Scene dock',
    key: 'h',
    elements: [
      // Stirred until it is one colour.
      {
        id: 'swirl',
        kind: 'marbled',
        ...whole,
        parts: [
          { product: 'plum-07', share: 0.4 },
          { product: 'ivory-02', share: 0.6 },
        ],
        vein_mm: 1.6,
        turn_deg: 30,
        mixed: 0.95,
        throw: 1,
        ground: true,
        how: 'usual',
      },
    ],
  },
  {
    id: 'drapes',
    name: 'Drapes',
    key: 'i',
    elements: [
      { id: 'plum', kind: 'colour', ...whole, product: 'plum-07', passes: 'cover' },
      {
        id: 'folds',
        kind: 'relief',
        ...drawn,
        seat: 'surface',
        region: {
          kind: 'lines',
          count: 3,
          width_mm: 1,
          pitch_mm: 2.2,
          turn_deg: 0,
          across: 0,
          along: 0.8,
          crossed: false,
        },
        product: 'builder-a',
        height_um: 300,
        layers: 1,
        sugar: false,
      },
      // A thick top over the relief: it is drowned.
      {
        id: 'gloss',
        kind: 'finish',
        fit: 'keep',
        hand: 'mirror',
        region: { kind: 'whole' },
        finish: 'gloss',
        doubled: false,
        thick_um: 400,
        underside: false,
      },
    ],
  },
];

/** The right hand tries other things than the left. */
const RIGHT: Partial<Record<NailName, string>> = {
  'right-thumb': 'tinsel',
  'right-index': 'follow-spot',
  'right-middle': 'scene-dock',
  'right-little': 'drapes',
};

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
  set.practice.hands = 'differ';
  for (const [name, look] of Object.entries(RIGHT) as [NailName, string][]) set.nails[name].look = look;
  set.edits = MISTAKES;
  return set;
}
