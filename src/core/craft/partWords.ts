import type { NailFrame } from '../geometry/frame';
import { boundsOf } from '../geometry/regions';
import { upperFirst } from '../model/letters';
import { rounded } from '../model/rounded';
import type { Region } from '../regions';
import { middleOf } from '../regions/drawnPoints';
import { areaOf } from './area';
import type { NailContext } from './context';
import type { Place } from './operation';
import { placeWords, spotWords } from './placeWords';

/** One colour of a drawing as it lies on a nail. */
interface DrawnPart {
  /** Where it lies now, in all its places. */
  place: Place;
  /** As it was drawn, before it was placed. */
  drawn: Region;
  /** Its places, by their middles; none: once, just as it was drawn. */
  spots: readonly { across: number; along: number }[];
}

/** What a colour of a drawing is in it: "Petals in Ivory 02"; without a name, the product's. */
export function partWords(name: string | undefined, product: string): string {
  return name ? `${upperFirst(name)} in ${product}` : product;
}

/** "5 strokes, half the nail wide, on the nail bed": in how many strokes it is drawn, how large it is, and where, as said on that nail. */
export function partPlaceWords({ place, drawn, spots }: DrawnPart, { frame, name }: NailContext): string {
  if (drawn.kind !== 'paths') return placeWords(place.region, place.mirror, name);
  const count = drawn.paths.length === 1 ? 'one stroke' : `${drawn.paths.length} strokes`;
  const size = sizeWords({ ...place, region: firstOf(place.region, drawn.paths.length) }, frame);
  // Each of many places is shown on the step's own picture.
  if (spots.length > 1) return `${count}, ${size} each, in ${spots.length} places`;
  const { across, along } = spots[0] ?? middleOf(drawn.paths.flatMap(({ points }) => points));
  return `${count}, ${size}, ${spotWords(name)(place.mirror ? -across : across, along)}`;
}

/** Of what is placed many times, the first. */
function firstOf(region: Region, strokes: number): Region {
  return region.kind === 'paths' ? { ...region, paths: region.paths.slice(0, strokes) } : region;
}

/**
 * How large it is: kept at its size in mm, which is one on all nails; drawn to fit its nail by what it takes of it, which is one on all
 * of them as well. Of what is longer than wide its length is said.
 */
function sizeWords(place: Place, frame: NailFrame): string {
  const { left, right, low, high } = boundsOf(areaOf(frame, place));
  const [width_mm, length_mm] = [right - left, high - low];
  if (place.keep) return `${halves(width_mm)} × ${halves(length_mm)} mm`;
  return width_mm >= length_mm
    ? `${shareWords(width_mm / frame.arc_mm)} wide`
    : `${shareWords(length_mm / frame.length_mm)} long`;
}

/** Shares of the nail that an eye tells. */
const SHARES: readonly [share: number, words: string][] = [
  [0.1, 'a tenth of the nail'],
  [0.2, 'a fifth of the nail'],
  [0.33, 'a third of the nail'],
  [0.5, 'half the nail'],
  [0.67, 'two thirds of the nail'],
  [0.8, 'four fifths of the nail'],
  [1, 'as the nail is'],
];

function shareWords(share: number): string {
  return SHARES.reduce((a, b) => (Math.abs(b[0] - share) < Math.abs(a[0] - share) ? b : a))[1];
}

/** To half a millimetre, which is what an eye tells; what is smaller than one to a tenth. */
function halves(size_mm: number): number {
  return size_mm < 1 ? rounded(size_mm, 1) : Math.round(size_mm * 2) / 2;
}
