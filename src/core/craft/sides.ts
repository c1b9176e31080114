import { fingerOf, handOf, type NailName } from '../model/names';

/**
 * A side of a nail as it is named whichever way up the tip lies, to the artist or to the client; `side` is negative on
 * the left with the tip up.
 */
export function sideWords(side: number, name: NailName): string {
  const towardsThumb = side > 0 === (handOf(name) === 'left');
  const finger = fingerOf(name);
  if (finger === 'thumb') return towardsThumb ? 'outer side' : 'index side';
  if (finger === 'little' && !towardsThumb) return 'outer side';
  return towardsThumb ? 'thumb side' : 'little-finger side';
}
