import { areaOf } from '../craft/area';
import { placeWords } from '../craft/placeWords';
import { liesAllOver, type Operation } from '../craft/operation';
import { buildOf, frameOf } from '../document/nailContext';
import type { SetDocument } from '../document/document';
import type { Point } from '../geometry/frame';
import { upperFirst } from '../model/letters';
import { emptyMap, placedAt, spanOf, type NailMap } from './nailMap';

/** So many places of one step are told each; a net of dots is one thing. */
const MOST_PLACES = 6;

/** Where one step lies on its nail, in mm; undefined for what is done all over. */
export function stepMap(set: SetDocument, operation: Operation): NailMap | undefined {
  const { nail, deposit, place } = operation;
  const frame = frameOf(set.nails[nail], buildOf(set, set.nails[nail]));
  const on = emptyMap(nail, frame);
  if (deposit?.kind === 'pieces') return { ...on, items: deposit.pieces.map(placedAt) };
  if (liesAllOver(place)) return undefined;
  const drawn = areaOf(frame, place).polygons.filter((outline) => outline.length > 2);
  const words = upperFirst(placeWords(place.region, place.mirror, nail) || 'part of the nail');
  const item = (outlines: readonly Point[][]) => spanOf(frame, outlines, words, outlines[0]!);
  if (drawn.length === 0) return undefined;
  if (drawn.length <= MOST_PLACES) return { ...on, items: drawn.map((outline) => item([outline])) };
  return { ...on, items: [item(drawn)], also: drawn.slice(1) };
}
