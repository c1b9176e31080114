import {
  filterDeficiencyDeuter,
  filterDeficiencyProt,
  filterDeficiencyTrit,
  modeRgb,
  useMode as registerMode,
} from 'culori/fn';

registerMode(modeRgb);

/** Rows of a 3 × 3 matrix over linear red, green and blue. */
export type Matrix = readonly [number, number, number, number, number, number, number, number, number];

export interface ColourView {
  key: string;
  words: string;
  /** Undefined: as it is. */
  matrix?: Matrix;
}

type Filter = ReturnType<typeof filterDeficiencyProt>;

/** The matrix of a filter of culori, read off at the three primaries. */
function matrixOf(filter: Filter): Matrix {
  const columns = (
    [
      [1, 0, 0],
      [0, 1, 0],
      [0, 0, 1],
    ] as const
  ).map(([r, g, b]) => {
    const seen = filter({ mode: 'rgb', r, g, b }) as { r: number; g: number; b: number };
    return [seen.r, seen.g, seen.b];
  });
  return [0, 1, 2].flatMap((row) => columns.map((column) => column[row]!)) as unknown as Matrix;
}

/** A light of this colour, to which the eye has adapted half-way (von Kries on linear sRGB; shares from memory). */
function under(r: number, g: number, b: number): Matrix {
  return [r, 0, 0, 0, g, 0, 0, 0, b];
}

/**
 * How a hand is seen by others and elsewhere: by eyes that miss a cone (Machado, Oliveira & Fernandes 2009, full
 * severity, through culori, on linear light as they are published for), and under other lamps than daylight.
 */
export const COLOUR_VIEWS: readonly ColourView[] = [
  { key: 'plain', words: 'As it is' },
  { key: 'protan', words: 'By eyes without red', matrix: matrixOf(filterDeficiencyProt(1)) },
  { key: 'deutan', words: 'By eyes without green', matrix: matrixOf(filterDeficiencyDeuter(1)) },
  { key: 'tritan', words: 'By eyes without blue', matrix: matrixOf(filterDeficiencyTrit(1)) },
  { key: 'warm', words: 'In warm light', matrix: under(1.06, 0.9, 0.62) },
  { key: 'cool', words: 'In cool light', matrix: under(0.86, 0.97, 1.1) },
  { key: 'stage', words: 'In stage light, rose', matrix: under(1.08, 0.55, 0.8) },
];
