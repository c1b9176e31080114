import { smoothLine } from './lines';
import type { Point } from './frame';

/** One pull of the liner, in units of the letter's height: bent ones are smooth through their points. */
interface Pull {
  bent: boolean;
  points: readonly (readonly [number, number])[];
}

interface Letter {
  width: number;
  pulls: readonly Pull[];
}

const straight = (...points: [number, number][]): Pull => ({ bent: false, points });
const bent = (...points: [number, number][]): Pull => ({ bent: true, points });
const letter = (width: number, ...pulls: Pull[]): Letter => ({ width, pulls });

const ROUND = bent(
  [0.38, 1],
  [0.11, 0.85],
  [0, 0.5],
  [0.11, 0.15],
  [0.38, 0],
  [0.65, 0.15],
  [0.76, 0.5],
  [0.65, 0.85],
  [0.38, 1],
);
const OPEN = bent(
  [0.68, 0.82],
  [0.52, 0.96],
  [0.36, 1],
  [0.11, 0.85],
  [0, 0.5],
  [0.11, 0.15],
  [0.36, 0],
  [0.52, 0.04],
  [0.68, 0.18],
);
const BOWL = bent([0, 1], [0.3, 1], [0.52, 0.9], [0.56, 0.75], [0.5, 0.58], [0.3, 0.5], [0, 0.5]);
const STEM = straight([0, 0], [0, 1]);

/**
 * Capitals, figures and a few marks as a liner draws them: single pulls, no thicker anywhere than the brush. Drawn for this
 * program; heights run from the line at 0 to the top at 1.
 */
const LETTERS: Readonly<Record<string, Letter>> = {
  A: letter(0.7, straight([0, 0], [0.35, 1], [0.7, 0]), straight([0.13, 0.36], [0.57, 0.36])),
  B: letter(
    0.58,
    STEM,
    BOWL,
    bent([0, 0.5], [0.34, 0.5], [0.54, 0.4], [0.58, 0.26], [0.52, 0.08], [0.3, 0], [0, 0]),
  ),
  C: letter(0.68, OPEN),
  D: letter(0.66, STEM, bent([0, 1], [0.28, 1], [0.55, 0.85], [0.66, 0.5], [0.55, 0.15], [0.28, 0], [0, 0])),
  E: letter(0.52, straight([0.52, 1], [0, 1], [0, 0], [0.52, 0]), straight([0, 0.52], [0.42, 0.52])),
  F: letter(0.5, straight([0.5, 1], [0, 1], [0, 0]), straight([0, 0.52], [0.4, 0.52])),
  G: letter(0.7, OPEN, straight([0.4, 0.45], [0.68, 0.45], [0.68, 0.18])),
  H: letter(0.64, STEM, straight([0.64, 0], [0.64, 1]), straight([0, 0.52], [0.64, 0.52])),
  I: letter(0, STEM),
  J: letter(0.42, straight([0.42, 1], [0.42, 0.3]), bent([0.42, 0.3], [0.36, 0.07], [0.2, 0], [0, 0.14])),
  K: letter(0.6, STEM, straight([0.58, 1], [0, 0.42]), straight([0.2, 0.61], [0.6, 0])),
  L: letter(0.48, straight([0, 1], [0, 0], [0.48, 0])),
  M: letter(0.8, straight([0, 0], [0.06, 1], [0.4, 0.25], [0.74, 1], [0.8, 0])),
  N: letter(0.64, straight([0, 0], [0, 1], [0.64, 0], [0.64, 1])),
  O: letter(0.76, ROUND),
  P: letter(0.56, STEM, BOWL),
  Q: letter(0.76, ROUND, straight([0.46, 0.26], [0.74, -0.06])),
  R: letter(0.58, STEM, BOWL, straight([0.26, 0.5], [0.58, 0])),
  S: letter(
    0.56,
    bent(
      [0.53, 0.84],
      [0.4, 0.97],
      [0.27, 1],
      [0.07, 0.9],
      [0.04, 0.72],
      [0.16, 0.57],
      [0.4, 0.46],
      [0.54, 0.31],
      [0.5, 0.1],
      [0.28, 0],
      [0.12, 0.04],
      [0, 0.17],
    ),
  ),
  T: letter(0.64, straight([0, 1], [0.64, 1]), straight([0.32, 1], [0.32, 0])),
  U: letter(
    0.64,
    straight([0, 1], [0, 0.34]),
    bent([0, 0.34], [0.08, 0.1], [0.32, 0], [0.56, 0.1], [0.64, 0.34]),
    straight([0.64, 0.34], [0.64, 1]),
  ),
  V: letter(0.66, straight([0, 1], [0.33, 0], [0.66, 1])),
  W: letter(0.96, straight([0, 1], [0.24, 0], [0.48, 0.8], [0.72, 0], [0.96, 1])),
  X: letter(0.62, straight([0, 1], [0.62, 0]), straight([0.62, 1], [0, 0])),
  Y: letter(0.62, straight([0, 1], [0.31, 0.5], [0.62, 1]), straight([0.31, 0.5], [0.31, 0])),
  Z: letter(0.58, straight([0.02, 1], [0.58, 1], [0, 0], [0.58, 0])),
  0: letter(
    0.6,
    bent(
      [0.3, 1],
      [0.08, 0.85],
      [0, 0.5],
      [0.08, 0.15],
      [0.3, 0],
      [0.52, 0.15],
      [0.6, 0.5],
      [0.52, 0.85],
      [0.3, 1],
    ),
  ),
  1: letter(0.26, straight([0, 0.76], [0.26, 1], [0.26, 0])),
  2: letter(
    0.56,
    bent(
      [0.02, 0.74],
      [0.12, 0.94],
      [0.3, 1],
      [0.48, 0.92],
      [0.54, 0.74],
      [0.46, 0.52],
      [0.24, 0.26],
      [0, 0],
    ),
    straight([0, 0], [0.56, 0]),
  ),
  3: letter(
    0.56,
    bent([0.03, 0.86], [0.14, 0.97], [0.28, 1], [0.46, 0.93], [0.52, 0.77], [0.44, 0.6], [0.22, 0.54]),
    bent([0.22, 0.54], [0.46, 0.48], [0.56, 0.28], [0.48, 0.08], [0.26, 0], [0.1, 0.04], [0, 0.16]),
  ),
  4: letter(0.62, straight([0.46, 0], [0.46, 1], [0, 0.3], [0.62, 0.3])),
  5: letter(
    0.56,
    straight([0.5, 1], [0.1, 1], [0.05, 0.56]),
    bent(
      [0.05, 0.56],
      [0.26, 0.64],
      [0.48, 0.54],
      [0.56, 0.32],
      [0.48, 0.09],
      [0.26, 0],
      [0.1, 0.04],
      [0, 0.14],
    ),
  ),
  6: letter(
    0.58,
    bent(
      [0.46, 1],
      [0.2, 0.76],
      [0.04, 0.42],
      [0.05, 0.18],
      [0.29, 0],
      [0.53, 0.14],
      [0.56, 0.36],
      [0.44, 0.56],
      [0.24, 0.58],
      [0.06, 0.42],
    ),
  ),
  7: letter(0.54, straight([0, 1], [0.54, 1], [0.16, 0])),
  8: letter(
    0.58,
    bent([0.29, 0.54], [0.08, 0.66], [0.07, 0.87], [0.29, 1], [0.51, 0.87], [0.5, 0.66], [0.29, 0.54]),
    bent([0.29, 0.54], [0.04, 0.4], [0.04, 0.13], [0.29, 0], [0.54, 0.13], [0.54, 0.4], [0.29, 0.54]),
  ),
  9: letter(
    0.58,
    bent(
      [0.12, 0],
      [0.38, 0.24],
      [0.54, 0.58],
      [0.53, 0.82],
      [0.29, 1],
      [0.05, 0.86],
      [0.02, 0.64],
      [0.14, 0.44],
      [0.34, 0.42],
      [0.52, 0.58],
    ),
  ),
  '&': letter(
    0.72,
    bent(
      [0.72, 0],
      [0.4, 0.36],
      [0.14, 0.7],
      [0.16, 0.93],
      [0.3, 1],
      [0.44, 0.9],
      [0.42, 0.72],
      [0.2, 0.52],
      [0.02, 0.3],
      [0.06, 0.08],
      [0.26, 0],
      [0.48, 0.08],
      [0.68, 0.36],
    ),
  ),
  '-': letter(0.36, straight([0, 0.46], [0.36, 0.46])),
  '.': letter(0.02, straight([0, 0], [0.02, 0])),
  '!': letter(0, straight([0, 1], [0, 0.3]), straight([0, 0], [0, 0.02])),
  '?': letter(
    0.5,
    bent(
      [0, 0.78],
      [0.08, 0.94],
      [0.25, 1],
      [0.44, 0.92],
      [0.5, 0.74],
      [0.42, 0.56],
      [0.27, 0.44],
      [0.25, 0.28],
    ),
    straight([0.25, 0], [0.25, 0.02]),
  ),
  '+': letter(0.5, straight([0, 0.46], [0.5, 0.46]), straight([0.25, 0.21], [0.25, 0.71])),
  ' ': letter(0.3),
};

/** Between two letters, as a share of their height. */
const APART = 0.26;

/** How wide a text of height 1 is. */
export function textWidth(text: string): number {
  const signs = [...text.toUpperCase()];
  return (
    signs.reduce((sum, sign) => sum + (LETTERS[sign]?.width ?? 0), 0) + APART * Math.max(0, signs.length - 1)
  );
}

/** How many pulls of the liner a text takes. */
export function pullsOf(text: string): number {
  return [...text.toUpperCase()].reduce((sum, sign) => sum + (LETTERS[sign]?.pulls.length ?? 0), 0);
}

/** A text as lines in mm, about its own middle, turned anticlockwise off upright; signs it has none for are left out. */
export function letterLines(text: string, height_mm: number, turn_deg: number, middle: Point): Point[][] {
  const turn = (turn_deg * Math.PI) / 180;
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  const lines: Point[][] = [];
  let from = -textWidth(text) / 2;
  for (const sign of text.toUpperCase()) {
    const known = LETTERS[sign];
    if (!known) continue;
    for (const pull of known.pulls) {
      const points = pull.points.map(([x, y]) => ({ x, y }));
      const line = pull.bent ? smoothLine(points) : points;
      lines.push(
        line.map((point) => {
          const x = (from + point.x) * height_mm;
          const y = (point.y - 0.5) * height_mm;
          return { x: middle.x + x * cos - y * sin, y: middle.y + x * sin + y * cos };
        }),
      );
    }
    from += known.width + APART;
  }
  return lines;
}
