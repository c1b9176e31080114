import { areaOf } from '../craft/area';
import { placeWords } from '../craft/placeWords';
import { liesAllOver, type Operation } from '../craft/operation';
import { buildOf, frameOf } from '../document/nailContext';
import type { SetDocument } from '../document/document';
import type { Point } from '../geometry/frame';
import { mostOf, leastOf } from '../model/extent';
import { upperFirst } from '../model/letters';
import { rounded } from '../model/rounded';
import { emptyMap, placedAt, type NailMap } from './nailMap';

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
  const item = (outlines: readonly Point[][]) => {
    const all = outlines.flat();
    const [xs, ys] = [all.map(({ x }) => x), all.map(({ y }) => y)];
    const half = frame.arc_mm / 2;
    const [left, right] = [Math.max(-half, leastOf(xs)), Math.min(half, mostOf(xs))];
    const [low, high] = [Math.max(0, leastOf(ys)), Math.min(frame.length_mm, mostOf(ys))];
    return {
      words,
      outline: outlines[0]!,
      size: `${rounded(right - left, 1)} wide`,
      at: `${rounded(low, 1)} to ${rounded(high, 1)} up`,
      x_mm: (left + right) / 2,
      y_mm: (low + high) / 2,
    };
  };
  if (drawn.length === 0) return undefined;
  if (drawn.length <= MOST_PLACES) return { ...on, items: drawn.map((outline) => item([outline])) };
  return { ...on, items: [item(drawn)], also: drawn.slice(1) };
}
