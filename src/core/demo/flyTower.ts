import type { Look, SetDocument } from '../document/document';
import { fingerOf, NAILS, type Finger } from '../model/names';
import { newSet } from '../starter/newSet';

/** Above the stage, for a gala: long stilettos built on forms, a beam of cat-eye, a built-in French, steel inside the tips of the rings. */
const drawn = { fit: 'scale', hand: 'mirror', seat: 'usual' } as const;
const whole = { ...drawn, region: { kind: 'whole' } } as const;
const SMILE = { rise_mm: 0, depth_mm: 3.2, tilt_mm: 0 };

/** Lines of the rigging: slender, straight, along the nail. */
const LINES = [
  [-0.42, 1.3, 6],
  [-0.16, 1.18, 8],
  [0.14, 1.34, 7],
  [0.4, 1.2, 5.5],
] as const;

const LOOKS: Look[] = [
  {
    id: 'blackout',
    name: 'Blackout',
    key: 'a',
    elements: [
      { id: 'night', kind: 'colour', ...whole, product: 'night-blue', passes: 'cover' },
      {
        id: 'beam',
        kind: 'magnetic',
        ...whole,
        product: 'footlight-magnetic',
        passes: 1,
        drawn: 'last',
        magnet: 'Bar magnet',
        form: 'line',
        across: 0.1,
        along: 1.1,
        turn_deg: 14,
        width_mm: 2.2,
        distance_mm: 4,
        hold_s: 8,
      },
      {
        id: 'lamps',
        kind: 'crystals',
        fit: 'repeat',
        seat: 'usual',
        sizes: ['SS7', 'SS5', 'SS3'],
        inset_mm: 1,
        gap_mm: 0.3,
        colour: '#eef3f6',
        bedding: 'practice',
        moved: [],
      },
    ],
  },
  {
    id: 'batten',
    name: 'Batten',
    key: 'b',
    elements: [
      {
        id: 'sky',
        kind: 'colour',
        ...drawn,
        region: { kind: 'tip', smile: SMILE },
        product: 'night-blue',
        passes: 'cover',
      },
    ],
  },
  {
    id: 'rigging',
    name: 'Rigging',
    key: 'c',
    elements: [
      {
        id: 'lines',
        kind: 'inlay',
        fit: 'scale',
        hand: 'mirror',
        clear: null,
        cap: 'level',
        pieces: LINES.map(([across, along, length_mm], i) => ({
          across,
          along,
          length_mm,
          width_mm: 0.5,
          thickness_mm: 0.02,
          stiffness: 0.2,
          turn_deg: i % 2 === 0 ? 4 : -4,
          colour: i % 2 === 0 ? '#8f98a3' : '#c9ced4',
          shape: 'sliver' as const,
          metallic: true,
        })),
        bed_um: 40,
        press: true,
        cap_um: 420,
        filing_um: 70,
        island: null,
      },
    ],
  },
];

const WEARS: Record<Finger, { look: string; build: string }> = {
  thumb: { look: 'blackout', build: 'stilettos' },
  index: { look: 'batten', build: 'french' },
  middle: { look: 'batten', build: 'french' },
  ring: { look: 'rigging', build: 'tips' },
  little: { look: 'blackout', build: 'stilettos' },
};

export function flyTower(): SetDocument {
  const set = newSet('fly-tower', 'Fly Tower');
  set.note = 'Gala night under the grid: long, dark, steel lines hanging inside the rings.';
  set.looks = LOOKS;
  const shaped = { shape: 'stiletto', length_mm: 15 } as const;
  const sculpted = { kind: 'sculpted-form', ...shaped, material: 'builder', apex_um: 900 } as const;
  set.builds = [
    { id: 'stilettos', name: 'Stilettos on forms', ...sculpted, art: 'over', french: null },
    {
      id: 'french',
      name: 'Built-in French on forms',
      ...sculpted,
      art: 'under',
      french: { product: 'cover-a', smile: SMILE },
    },
    {
      id: 'tips',
      name: 'Tips with rigging inside',
      kind: 'soft-gel-tip',
      ...shaped,
      art: 'inside',
      filler: null,
    },
  ];
  for (const name of NAILS) {
    const nail = set.nails[name];
    Object.assign(nail, WEARS[fingerOf(name)]);
    // Little fingers carry less.
    if (fingerOf(name) === 'little') nail.own_free_mm = 12;
  }
  return set;
}
