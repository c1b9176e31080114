import { clampReflectance, type Triple } from './film';

/**
 * Colours as reflectance in ten bands of 34 nm from 380 to 720 nm, so that mixing can be checked where three
 * bands mislead: yellow and blue mix to green in paint, and to grey in red, green and blue.
 */
export type Bands = readonly number[];

/** Smooth spectra of the primaries and secondaries of RGB (Smits 1999, "An RGB-to-spectrum conversion"; from memory). */
const WHITE = [1, 1, 0.9999, 0.9993, 0.9992, 0.9998, 1, 1, 1, 1];
const CYAN = [0.971, 0.9426, 1.0007, 1.0007, 1.0007, 1.0007, 0.1564, 0, 0, 0];
const MAGENTA = [1, 1, 0.9685, 0.2229, 0, 0.0458, 0.8369, 1, 1, 0.9959];
const YELLOW = [0.0001, 0, 0.1088, 0.6651, 1, 1, 0.9996, 0.9586, 0.9685, 0.984];
const RED = [0.1012, 0.0515, 0, 0, 0, 0, 0.8325, 1.0149, 1.0149, 1.0149];
const GREEN = [0, 0, 0.0273, 0.7937, 1, 0.9418, 0.1719, 0, 0, 0.0025];
const BLUE = [1, 1, 0.8916, 0.3323, 0, 0, 0.0003, 0.0369, 0.0483, 0.0496];

/** A spectrum with the colour of linear sRGB reflectances: white, then a secondary, then a primary (Smits 1999). */
export function bandsOf([r, g, b]: Triple): Bands {
  const [low, secondary, primary]: [number, readonly number[], readonly number[]] =
    r <= g && r <= b
      ? [r, CYAN, g <= b ? BLUE : GREEN]
      : g <= r && g <= b
        ? [g, MAGENTA, r <= b ? BLUE : RED]
        : [b, YELLOW, r <= g ? GREEN : RED];
  const [, middle, high] = [r, g, b].sort((x, y) => x - y) as [number, number, number];
  return WHITE.map((white, i) =>
    clampReflectance(low * white + (middle - low) * secondary[i]! + (high - middle) * primary[i]!),
  );
}

function lobe(wavelength: number, centre: number, below: number, above: number): number {
  const t = (wavelength - centre) * (wavelength < centre ? below : above);
  return Math.exp(-0.5 * t * t);
}

/** The CIE 1931 colour-matching functions as sums of lobes (Wyman, Sloan & Shirley 2013, JCGT 2:2; from memory). */
function matching(w: number): Triple {
  return [
    0.362 * lobe(w, 442, 0.0624, 0.0374) +
      1.056 * lobe(w, 599.8, 0.0264, 0.0323) -
      0.065 * lobe(w, 501.1, 0.049, 0.0382),
    0.821 * lobe(w, 568.8, 0.0213, 0.0247) + 0.286 * lobe(w, 530.9, 0.0613, 0.0322),
    1.217 * lobe(w, 437, 0.0845, 0.0278) + 0.681 * lobe(w, 459, 0.0385, 0.0725),
  ];
}

/** Weight of each band in linear sRGB, normed so that a flat spectrum is a grey. */
const WEIGHTS: readonly Triple[] = (() => {
  const raw = Array.from({ length: 10 }, (_, band): Triple => {
    const sum: [number, number, number] = [0, 0, 0];
    for (let w = 380 + 34 * band; w < 380 + 34 * (band + 1); w += 2) {
      const [x, y, z] = matching(w);
      // XYZ to linear sRGB (IEC 61966-2-1).
      sum[0] += 3.2406 * x - 1.5372 * y - 0.4986 * z;
      sum[1] += -0.9689 * x + 1.8758 * y + 0.0415 * z;
      sum[2] += 0.0557 * x - 0.204 * y + 1.057 * z;
    }
    return sum;
  });
  const total = raw.reduce((s, w): Triple => [s[0] + w[0], s[1] + w[1], s[2] + w[2]], [0, 0, 0] as Triple);
  return raw.map((w): Triple => [w[0] / total[0], w[1] / total[1], w[2] / total[2]]);
})();

/** Bands to linear sRGB under even light. */
export function linearOfBands(bands: Bands): Triple {
  const sum = (channel: 0 | 1 | 2) => bands.reduce((s, value, i) => s + value * WEIGHTS[i]![channel], 0);
  return [sum(0), sum(1), sum(2)];
}

/** Two hiding films mixed wet, band by band with K/S of each (Kubelka–Munk), equal scattering: linear sRGB. */
export function mixBands(a: Triple, b: Triple, share: number): Triple {
  const other = bandsOf(b);
  return linearOfBands(
    bandsOf(a).map((ra, i) => {
      const rb = other[i]!;
      const ks = ((1 - share) * (1 - ra) ** 2) / (2 * ra) + (share * (1 - rb) ** 2) / (2 * rb);
      return 1 + ks - Math.sqrt(ks * ks + 2 * ks);
    }),
  );
}
