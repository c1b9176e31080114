import { upperFirst } from '@/core/model/letters';
import { handOf, type Hand, type NailName } from '@/core/model/names';
import { whoseWords } from '@/core/timing/rounds';
import { handWords } from './words';

/** "Left four fingers", "All ten": whose turn it is. */
export function whoseOf(
  { hand, nails }: { hand: Hand | 'both'; nails: readonly NailName[] },
  worked: readonly NailName[],
): string {
  return upperFirst(`${handWords(hand)}${whoseWords(nails, worked)}`);
}

/** The same of nails alone. */
export function whoseNails(nails: readonly NailName[], worked: readonly NailName[]): string {
  const hands = new Set(nails.map(handOf));
  const [only] = hands.size === 1 ? hands : [];
  return whoseOf({ hand: only ?? 'both', nails }, worked);
}
