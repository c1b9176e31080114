import type { Element } from '../craft/techniques';
import type { SetDocument } from '../document/document';
import { fingerOf, NAILS, type Finger } from '../model/names';
import { newSet } from '../starter/newSet';
import { genericShelf } from '../starter/shelf';

/** The scene that the stagehands love: knitted wool, cracked ice, falling snow, stars and a looking glass. */
const drawn = { fit: 'scale', hand: 'mirror' } as const;
const whole = { ...drawn, seat: 'usual', region: { kind: 'whole' } } as const;
const colour = (id: string, product: string, passes: 'cover' | number = 'cover'): Element => ({
  id,
  kind: 'colour',
  ...whole,
  product,
  passes,
});
const SILVER = '#cfd5db';
/** Clear with silver dust in it, from the shelf. */
const DUST = 'silver-dust-82';

const WORN: Record<Finger, string> = {
  thumb: 'wool',
  index: 'ice',
  middle: 'snowfall',
  ring: 'stars',
  little: 'glass',
};

const STARS = [
  [-0.34, 0.42, 1.7, 12],
  [0.28, 0.62, 2.1, -18],
  [-0.16, 0.86, 1.5, 30],
  [0.3, 1.04, 1.4, 5],
  [-0.2, 1.24, 1.7, -10],
] as const;

export function snowScene(): SetDocument {
  const set = newSet('snow-scene', 'Snow Scene');
  set.note = 'Real wool on stage, glitter from the flies: everything here may be touched.';
  set.kit.products.push(genericShelf().find(({ id }) => id === DUST)!);
  set.looks = [
    {
      id: 'wool',
      name: 'Wool',
      key: 'a',
      elements: [
        colour('cream', 'ivory-02'),
        {
          id: 'dull',
          kind: 'finish',
          ...drawn,
          region: { kind: 'whole' },
          finish: 'matte',
          doubled: false,
          thick_um: null,
          underside: false,
        },
        {
          id: 'stitches',
          kind: 'relief',
          ...drawn,
          seat: 'usual',
          region: {
            kind: 'lines',
            count: 3,
            width_mm: 1.2,
            pitch_mm: 2.6,
            turn_deg: 0,
            across: 0,
            along: 1,
            crossed: false,
            wave: { rise_mm: 0.7, length_mm: 4.5 },
          },
          product: 'putty-ivory',
          height_um: 350,
          layers: 1,
          sugar: true,
        },
      ],
    },
    {
      id: 'ice',
      name: 'Cracked ice',
      key: 'b',
      elements: [
        {
          id: 'floes',
          kind: 'marbled',
          ...whole,
          parts: [
            { product: 'night-blue', share: 0.4 },
            { product: 'ivory-02', share: 0.6 },
          ],
          vein_mm: 1.8,
          turn_deg: 35,
          mixed: 0.12,
          ground: true,
          how: 'usual',
          throw: 1,
        },
        {
          id: 'flakes',
          kind: 'sheets',
          ...drawn,
          seat: 'usual',
          region: { kind: 'band', from: 0.7, to: 1.4 },
          what: 'leaf',
          colour: SILVER,
          metallic: true,
          thickness_um: 2,
          whole: 0.35,
          shred_mm: 1.4,
          tack: false,
        },
      ],
    },
    {
      id: 'snowfall',
      name: 'Snowfall',
      key: 'c',
      elements: [
        colour('night', 'night-blue'),
        colour('dust', DUST, 1),
        {
          id: 'snow',
          kind: 'glitter',
          ...whole,
          shape: 'hexagon',
          size_mm: 0.45,
          thickness_um: 25,
          colour: '#eef2f6',
          metallic: true,
          per_cm2: 420,
          fade: { direction: 'along', from: 1, to: 0.25 },
          cover_um: 60,
          tack: false,
        },
      ],
    },
    {
      id: 'stars',
      name: 'Stars',
      key: 'd',
      elements: [
        colour('night', 'night-blue'),
        {
          id: 'cut-stars',
          kind: 'inlay',
          ...drawn,
          pieces: STARS.map(([across, along, mm, turn_deg]) => ({
            across,
            along,
            length_mm: mm,
            width_mm: mm,
            thickness_mm: 0.04,
            stiffness: 0.3,
            turn_deg,
            colour: SILVER,
            shape: 'star' as const,
            metallic: true,
          })),
          bed_um: 60,
          press: true,
          clear: null,
          cap: 'level',
          cap_um: 450,
          filing_um: 80,
          island: null,
        },
      ],
    },
    {
      id: 'glass',
      name: 'Looking glass',
      key: 'e',
      elements: [
        colour('night', 'night-blue'),
        { id: 'mirror', kind: 'powder', ...whole, product: 'mirror-silver', own_top: true, top_cure: 'full' },
      ],
    },
  ];
  set.builds[0] = { ...set.builds[0]!, name: 'Short almond', shape: 'almond' };
  for (const name of NAILS) set.nails[name] = { ...set.nails[name], look: WORN[fingerOf(name)] };
  return set;
}
