import type { Element } from '../craft/techniques';
import type { SetDocument } from '../document/document';
import { fingerOf, NAILS, type Finger } from '../model/names';
import { newSet } from '../starter/newSet';

/** The afternoon show: short natural nails, quick, a soft French and one sage accent. */
const drawn = { fit: 'scale', hand: 'mirror', seat: 'usual' } as const;
const whole = { ...drawn, region: { kind: 'whole' } } as const;
const blush: Element = { id: 'blush', kind: 'colour', ...whole, product: 'blush-sheer', passes: 'cover' };

const WORN: Record<Finger, string> = {
  thumb: 'programme',
  index: 'programme',
  middle: 'programme',
  ring: 'garden',
  little: 'programme',
};

export function matinee(): SetDocument {
  const set = newSet('matinee', 'Matinée');
  set.note = 'Between two shows: short, soft, under an hour.';
  set.looks = [
    {
      id: 'programme',
      name: 'Programme',
      key: 'a',
      elements: [
        blush,
        {
          id: 'edge',
          kind: 'french',
          ...drawn,
          region: { kind: 'tip', smile: { rise_mm: 0.2, depth_mm: 1.6, tilt_mm: 0 } },
          product: 'ivory-02',
          passes: 'cover',
          tint: null,
          fade: null,
          second: null,
          liner: null,
        },
      ],
    },
    {
      id: 'garden',
      name: 'Garden scene',
      key: 'b',
      elements: [
        { id: 'sage', kind: 'colour', ...whole, product: 'sage-03', passes: 'cover' },
        {
          id: 'dew',
          kind: 'crystals',
          fit: 'repeat',
          seat: 'usual',
          sizes: ['SS5', 'SS3'],
          inset_mm: 0.8,
          gap_mm: 0.2,
          colour: '#eef3f0',
          bedding: 'practice',
          moved: [],
        },
      ],
    },
  ];
  set.builds[0] = {
    id: 'natural',
    kind: 'natural-gel',
    base: 'coat',
    name: 'Short and natural',
    shape: 'oval',
  };
  for (const name of NAILS) set.nails[name] = { ...set.nails[name], look: WORN[fingerOf(name)] };
  return set;
}
