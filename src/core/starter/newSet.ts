import { buildKindOf } from '../craft/builds';
import { namedBuild } from '../document/naming';
import { FORMAT, VERSION, type SetDocument } from '../document/document';
import { NAILS, type NailName } from '../model/names';
import type { Nail } from '../model/nail';
import { genericKit } from './kit';
import { SKIN_TONES, typicalPlate } from './hand';

/** A new set: a typical hand and the generic kit, one plain look on all ten, so that nails stand there at once. */
export function newSet(id: string, title: string): SetDocument {
  const nails = Object.fromEntries(
    NAILS.map((name): [NailName, Nail] => [
      name,
      {
        plate: typicalPlate(name),
        in_work: true,
        conditions: [],
        start: { kind: 'bare', dull: false },
        build: 'natural',
        own_free_mm: null,
        own_shape: null,
        look: 'plain',
        changes: [],
      },
    ]),
  ) as Record<NailName, Nail>;
  return {
    format: FORMAT,
    version: VERSION,
    id,
    title,
    note: '',
    appointment: null,
    state: 'planned',
    nails,
    skin: SKIN_TONES[1]!.colour,
    looks: [
      {
        id: 'plain',
        name: 'Rose nude',
        key: 'a',
        elements: [
          {
            id: 'colour',
            kind: 'colour',
            region: { kind: 'whole' },
            fit: 'scale',
            hand: 'mirror',
            seat: 'usual',
            product: 'rose-nude',
            passes: 'cover',
          },
        ],
      },
    ],
    builds: [
      namedBuild(buildKindOf('natural-gel').fresh('natural')),
      namedBuild(buildKindOf('soft-gel-tip').fresh('tips')),
    ],
    practice: {
      base: 'leave',
      primer: 'once',
      edge_mm: 0.66,
      stones: 'wet-top',
      stone_top: 'around',
      acrylic_primer: 'dry',
      pinch: 'pinch',
      grit: '100-180',
      filed: 'colour',
      tips: 'before',
      thumbs: 'apart',
      wearer: 'client',
      stronger_hand: 'right',
      pace: 'usual',
      flow: 'balanced',
      hands: 'alike',
    },
    kit: genericKit(),
    edits: [],
  };
}
