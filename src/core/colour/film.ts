import { leastOf } from '../model/extent';
/**
 * Films of colour by Kubelka–Munk (two-flux theory). A `Pigment` carries scattering S and absorption K per
 * micrometre for the three linear sRGB channels; reflectances are linear, 0–1.
 */
export type Triple = readonly [number, number, number];

export interface Pigment {
  S: Triple;
  K: Triple;
}

/** Reflectance and transmittance of one free-standing layer, per channel. */
export interface Layer {
  R: Triple;
  T: Triple;
}

/** A neutral ground of this luminance. */
export function grey(value: number): Triple {
  return [value, value, value];
}

/** Grounds on which "covers in so many coats" is judged. The nail's are common practice, from memory. */
export const GROUNDS = {
  card: { dark: 0, pale: 0.8 },
  nail: { dark: 0.35, pale: 0.65 },
} as const;
/** The bed as a ground for finished coats, in linear light (common practice, from memory). */
export const BED: Triple = [0.6, 0.42, 0.36];
export type GroundName = keyof typeof GROUNDS;

/** The contrast ratio R0/RW from which a film counts as hiding (ISO 6504-3, ASTM D2805). */
export const HIDING_RATIO = 0.98;

/** Reflectance of a fully hiding film is kept within these, so that K/S stays finite. */
export const R_MIN = 0.004;
export const R_MAX = 0.97;

export function clampReflectance(value: number): number {
  return Math.min(R_MAX, Math.max(R_MIN, value));
}

/** K/S of a film that hides with reflectance R∞. */
export function absorptionShare(rInfinity: number): number {
  return (1 - rInfinity) ** 2 / (2 * rInfinity);
}

/** Reflectance of a film with K/S `ks` and optical thickness `sx` (S·X) over a ground of reflectance `ground`. */
export function reflectance(ks: number, sx: number, ground: number): number {
  if (sx <= 0) return ground;
  if (ks <= 0) return ((1 - ground) * sx + ground) / ((1 - ground) * sx + 1);
  const a = 1 + ks;
  const b = Math.sqrt(a * a - 1);
  const u = b / Math.tanh(b * sx);
  return (1 - ground * (a - u)) / (a - ground + u);
}

/** The limit S → 0: light is only absorbed, there and back. */
export function sheerReflectance(kx: number, ground: number): number {
  return ground * Math.exp(-2 * kx);
}

/** Contrast ratio of a film over the two grounds. */
export function contrastRatio(ks: number, sx: number, grounds: { dark: number; pale: number }): number {
  return reflectance(ks, sx, grounds.dark) / reflectance(ks, sx, grounds.pale);
}

/** Optical thickness S·X at which a film of reflectance R∞ reaches the hiding ratio, by bisection. */
export function hidingThickness(rInfinity: number, ground: GroundName): number {
  const ks = absorptionShare(clampReflectance(rInfinity));
  let low = 0;
  let high = 1;
  while (contrastRatio(ks, high, GROUNDS[ground]) < HIDING_RATIO) high *= 2;
  for (let i = 0; i < 60; i += 1) {
    const middle = (low + high) / 2;
    if (contrastRatio(ks, middle, GROUNDS[ground]) < HIDING_RATIO) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** The pigment whose film of `coats` × `coat_um` just hides with colour `rInfinity` (linear, per channel). */
export function filmPigment(rInfinity: Triple, coats: number, coat_um: number, ground: GroundName): Pigment {
  const S = rInfinity.map((r) => hidingThickness(r, ground) / (coats * coat_um));
  const K = rInfinity.map((r, i) => S[i]! * absorptionShare(clampReflectance(r)));
  return { S: triple(S), K: triple(K) };
}

/** Optical thickness S·X of a white sheer in the coats its direction names (common practice: a veil, not a cover). */
const SHEER_SX = 1;

/**
 * A sheer: the stated colour over a white ground after `coats`. What is pale in it scatters as well as absorbs,
 * as milky and pale pink gels do; a deep sheer only absorbs. K follows from the stated colour by bisection.
 */
export function sheerPigment(seen: Triple, coats: number, coat_um: number): Pigment {
  const t_um = coats * coat_um;
  const pale = leastOf(seen.map(clampReflectance));
  const sx = SHEER_SX * pale;
  const K = seen.map((r) => {
    const wanted = clampReflectance(r);
    let low = 0;
    let high = -Math.log(wanted) / 2 + 1;
    for (let i = 0; i < 50; i += 1) {
      const kx = (low + high) / 2;
      const over = sx > 1e-6 ? reflectance(kx / sx, sx, 1) : sheerReflectance(kx, 1);
      if (over > wanted) low = kx;
      else high = kx;
    }
    return (low + high) / 2 / t_um;
  });
  return { S: [sx / t_um, sx / t_um, sx / t_um], K: triple(K) };
}

/** A wet blend: Σc·K and Σc·S, each colour with its own S. Shares need not sum to one; they are normed. */
export function blend(parts: readonly { pigment: Pigment; share: number }[]): Pigment {
  const total = parts.reduce((sum, part) => sum + part.share, 0) || 1;
  const sum = (pick: (pigment: Pigment) => Triple) =>
    triple(
      [0, 1, 2].map((i) => parts.reduce((s, part) => s + (part.share / total) * pick(part.pigment)[i]!, 0)),
    );
  return { S: sum((p) => p.S), K: sum((p) => p.K) };
}

/** What a pigment looks like when it hides fully. */
export function masstone(pigment: Pigment): Triple {
  return triple(
    pigment.S.map((s, i) => {
      if (s <= 0) return R_MIN;
      const a = 1 + pigment.K[i]! / s;
      return a - Math.sqrt(a * a - 1);
    }),
  );
}

/** The layer of a pigment `t_um` thick: R = 1/(a + b·coth), T = b/(a·sinh + b·cosh). */
export function layerOf(pigment: Pigment, t_um: number): Layer {
  const R: number[] = [];
  const T: number[] = [];
  for (let i = 0; i < 3; i += 1) {
    const s = pigment.S[i]! * t_um;
    const k = pigment.K[i]! * t_um;
    if (s < 1e-9) {
      R.push(0);
      T.push(Math.exp(-k));
    } else if (k < 1e-9) {
      R.push(s / (s + 1));
      T.push(1 / (s + 1));
    } else {
      const a = 1 + k / s;
      const b = Math.sqrt(a * a - 1);
      const x = Math.min(b * s, 40);
      const sinh = Math.sinh(x);
      const cosh = Math.cosh(x);
      const bottom = a * sinh + b * cosh;
      R.push(sinh / bottom);
      T.push(b / bottom);
    }
  }
  return { R: triple(R), T: triple(T) };
}

/** A layer over a ground: R + T²·Rg/(1 − R·Rg). */
export function over(layer: Layer, ground: Triple): Triple {
  return [
    overChannel(layer.R[0], layer.T[0], ground[0]),
    overChannel(layer.R[1], layer.T[1], ground[1]),
    overChannel(layer.R[2], layer.T[2], ground[2]),
  ];
}

export function overChannel(R: number, T: number, ground: number): number {
  return R + (T * T * ground) / (1 - R * ground);
}

function triple(values: readonly number[]): Triple {
  return [values[0]!, values[1]!, values[2]!];
}
