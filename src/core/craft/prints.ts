import * as z from 'zod/mini';
import type { NailFrame, Point } from '../geometry/frame';
import { boundsOf } from '../geometry/regions';
import { leastOf, mostOf } from '../model/extent';
import { lowerFirst } from '../model/letters';
import { Colour, Words } from '../model/primitives';
import { without } from '../model/without';
import { tokenColour } from '../model/product';
import { Region } from '../regions';
import { drawnSpot } from '../regions/drawnPoints';
import { spotAt_mm } from '../regions/on';
import { areaOf } from './area';
import { DRAWN_NAIL } from './drawnNail';
import { MOST_COLOURS, type KeptMotif } from './keptMotif';
import { motifRegion, MOTIFS } from './motifs';
import type { Place } from './operation';
import { moved } from './placedStrokes';

/** What is printed on a sheet: its colours, the lowest first, drawn as a motif is and fitted into the sheet. */
export const Print = z.strictObject({
  words: Words,
  parts: z
    .array(z.strictObject({ colour: Colour, region: Region }))
    .check(z.minLength(1), z.maxLength(MOST_COLOURS)),
});
export type Print = z.infer<typeof Print>;

/** Inks that tell themselves apart, on pale and on dark. */
const INKS = ['#b3324a', '#e0b04c', '#2f6b5e'] as const;

/** What can be printed at once: the small motifs, in inks of their own. */
export const PRINTS: readonly Print[] = MOTIFS.map(({ words, colours }) => ({
  words,
  parts: colours.map((strokes, i) => ({ colour: INKS[i] ?? INKS[0], region: motifRegion(strokes) })),
}));

/** One of them by its name, in inks of one's own. */
export function printOf(words: string, ...inks: string[]): Print {
  const { parts } = PRINTS.find((one) => one.words === words)!;
  return { words, parts: parts.map((part, i) => ({ ...part, colour: inks[i] ?? part.colour })) };
}

/** What an artist drew for the library, as it looks printed. */
export function printedMotif({ name, colours }: KeptMotif): Print {
  return {
    words: name,
    parts: colours.map(({ product, region }) => ({ colour: tokenColour(product) ?? INKS[0], region })),
  };
}

/** "five petals" */
export function printWords({ words }: Print): string {
  return lowerFirst(words);
}

/** A sheet's own edge stays free of its print (by the look of it). */
const EDGE_SHARE = 0.86;

/**
 * Each colour of a print as it lies in the place of its sheet on this nail: in its own proportions, as large as fits, turned with
 * what can be turned. What is drawn by share of a nail and not by hand lies where it is.
 */
export function laidPrint(print: Print, place: Place, frame: NailFrame): Print['parts'] {
  const sheet = without(place, 'within');
  const turn_deg = 'turn_deg' in place.region ? place.region.turn_deg : 0;
  const upright = turn_deg === 0 ? place.region : { ...place.region, turn_deg: 0 };
  const into = boundsOf(areaOf(frame, { ...sheet, region: upright as Region, mirror: false }));
  const points = print.parts.flatMap(({ region }) => handPoints(region));
  if (points.length === 0) return print.parts;
  const [left, right] = [leastOf(points.map(({ x }) => x)), mostOf(points.map(({ x }) => x))];
  const [low, high] = [leastOf(points.map(({ y }) => y)), mostOf(points.map(({ y }) => y))];
  const size =
    EDGE_SHARE * Math.min((into.right - into.left) / (right - left), (into.high - into.low) / (high - low));
  const from = { x: (left + right) / 2, y: (low + high) / 2 };
  const to = { x: (into.left + into.right) / 2, y: (into.low + into.high) / 2 };
  const at = (point: Point) => moved(point, from, to, { size, turn_deg, mirrored: false });
  const on = { frame, side: 1 as const, scale: 1, size: 1 };
  return print.parts.map(({ colour, region }) => ({
    colour,
    region:
      region.kind === 'paths'
        ? {
            ...region,
            paths: region.paths.map((path) => ({
              ...path,
              width_mm: path.width_mm * size,
              points: path.points.map((point) => drawnSpot(at(spotAt_mm(point, DRAWN)), on)),
            })),
          }
        : region,
  }));
}

const DRAWN = { frame: DRAWN_NAIL, side: 1 as const };

function handPoints(region: Region) {
  return region.kind === 'paths'
    ? region.paths.flatMap(({ points }) => points.map((point) => spotAt_mm(point, DRAWN)))
    : [];
}
