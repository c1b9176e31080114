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

/** "5 strokes, 4 × 3.5 mm, on the nail bed": in how many strokes it is drawn, how large it is, and where, as said on that nail. */
export function partPlaceWords({ place, drawn, spots }: DrawnPart, { frame, name }: NailContext): string {
  if (drawn.kind !== 'paths') return placeWords(place.region, place.mirror, name);
  const count = drawn.paths.length === 1 ? 'one stroke' : `${drawn.paths.length} strokes`;
  const one = { ...place, region: firstOf(place.region, drawn.paths.length) };
  const { left, right, low, high } = boundsOf(areaOf(frame, one));
  const size = `${halves(right - left)} × ${halves(high - low)} mm`;
  // Each of many places is shown on the step's own picture.
  if (spots.length > 1) return `${count}, ${size} each, in ${spots.length} places`;
  const { across, along } = spots[0] ?? middleOf(drawn.paths.flatMap(({ points }) => points));
  return `${count}, ${size}, ${spotWords(name)(place.mirror ? -across : across, along)}`;
}

/** Of what is placed many times, the first. */
function firstOf(region: Region, strokes: number): Region {
  return region.kind === 'paths' ? { ...region, paths: region.paths.slice(0, strokes) } : region;
}

/** To half a millimetre, which is what an eye tells; what is smaller than one to a tenth. */
function halves(size_mm: number): number {
  return size_mm < 1 ? rounded(size_mm, 1) : Math.round(size_mm * 2) / 2;
}
