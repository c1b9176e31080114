import { upperFirst } from './letters';
import { NAILS, nailWords } from './names';
import type { Fault } from './result';

/** What stands in a list is told by its number. */
const ONE_OF: Record<string, string> = {
  looks: 'look',
  elements: 'element',
  builds: 'build',
  edits: 'edit',
  products: 'product',
  lamps: 'lamp',
  tips: 'tip box',
  sizes: 'size',
  stones: 'stone',
  pieces: 'piece',
  stops: 'colour',
  points: 'point',
  changes: 'own change',
  conditions: 'condition',
  stands: 'stand',
};
/** Keys that group others and say nothing to a reader, and those that are called otherwise at the table. */
const CALLED: Record<string, string> = {
  nails: '',
  plate: '',
  kit: '',
  options: '',
  region: 'where',
  in_work: 'worked on',
  free_edge_mm: 'free edge',
  cap_um: 'cap',
  bed_um: 'bed under it',
  coats_to_cover: 'coats to cover',
};
const UNIT = /_(mm|um|s|deg|ml|g|pct)$/;

/**
 * A place inside a file in people's words: `nails.left-thumb.plate.width_mm` is "left thumb, width",
 * `looks.1.elements.0` "look 2, element 1". Empty for the whole.
 */
export function placeWords(path: string): string {
  const keys = path.split('.').filter(Boolean);
  const words = keys.map((key, i) => {
    const nail = NAILS.find((name) => name === key);
    if (nail) return nailWords(nail);
    if (/^\d+$/.test(key)) return `${ownOr(ONE_OF, keys[i - 1] ?? '') ?? 'entry'} ${Number(key) + 1}`;
    // A list that one of its entries follows is told by that.
    if (/^\d+$/.test(keys[i + 1] ?? '')) return '';
    return ownOr(CALLED, key) ?? key.replace(UNIT, '').replace(/[_-]+/g, ' ');
  });
  return words.filter(Boolean).join(', ');
}

function ownOr(words: Record<string, string>, key: string): string | undefined {
  return Object.hasOwn(words, key) ? words[key] : undefined;
}

/** A fault as an artist reads it: "Left thumb, width: must be at least 3 mm". */
export function faultWords({ path, message }: Fault): string {
  const place = placeWords(path);
  return place ? `${upperFirst(place)}: ${message}` : message;
}
