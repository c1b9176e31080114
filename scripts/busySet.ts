import { element, setWearing } from '../src/core/testing/sets';
import type { Element } from '../src/core/craft/techniques';
import type { SetDocument } from '../src/core/document/document';
import { NAILS } from '../src/core/model/names';

/** Ten nails of forty operations each: grains on four of them, marble on two. */
export function busySet(): SetDocument {
  const [ground, french, motif, crescent] = [
    element('colour', { id: 'ground' }),
    element('french', { id: 'french' }),
    element('motif', { id: 'motif' }),
    element('crystals', { id: 'crescent' }),
  ];
  const relief = element('relief', { id: 'relief' });
  const looks: Record<string, Element[]> = {
    plain: [element('ombre', { id: 'run' }), french, motif, relief, crescent],
    grains: [ground, french, motif, element('glitter', { id: 'grains', per_cm2: 1250 }), crescent],
    marble: [element('marbled', { id: 'marble' }), french, motif, element('charm', { id: 'charm' })],
  };
  const set = setWearing(looks.plain!);
  const key = 'abc';
  set.looks = Object.entries(looks).map(([id, elements], i) => ({ id, name: id, key: key[i]!, elements }));
  NAILS.forEach((name, i) => {
    set.nails[name] = {
      ...set.nails[name],
      look: i < 4 ? 'grains' : i < 6 ? 'marble' : 'plain',
      build: 'tips',
    };
  });
  return set;
}
