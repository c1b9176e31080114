import { converter, modeLrgb, modeOklab, useMode as registerMode } from 'culori/fn';
import { chance } from '../model/chance';
import type { Triple } from './film';

registerMode(modeLrgb);
registerMode(modeOklab);
const toOklab = converter('oklab');
const toLinear = converter('lrgb');

export interface PaletteColour {
  /** Linear light. */
  colour: Triple;
  /** Share of the picture. */
  share: number;
}

type Lab = [number, number, number];
const BITS = 5;
const ROUNDS = 24;

/**
 * The colours a picture is made of: its pixels (sRGB bytes, RGBA) counted into bins, the bins clustered by k-means in
 * OKLab (Ottosson 2020) from seeds far apart (k-means++, Arthur & Vassilvitskii 2007). Clear pixels do not count.
 * Largest share first; fewer than asked where the picture has no more.
 */
export function paletteOf(pixels: Uint8ClampedArray, count: number, seed = 1): PaletteColour[] {
  const bins = binned(pixels);
  if (bins.length === 0) return [];
  const by = chance(seed);
  const centres = seeds(bins, Math.min(count, bins.length), by.next);
  const own = new Int32Array(bins.length);
  for (let round = 0; round < ROUNDS; round += 1) {
    let moved = false;
    bins.forEach((bin, i) => {
      const nearest = nearestOf(bin.lab, centres);
      if (own[i] !== nearest) moved = true;
      own[i] = nearest;
    });
    centres.forEach((centre, c) => {
      const sum: Lab = [0, 0, 0];
      let weight = 0;
      bins.forEach((bin, i) => {
        if (own[i] !== c) return;
        weight += bin.weight;
        for (let k = 0; k < 3; k += 1) sum[k]! += bin.weight * bin.lab[k]!;
      });
      if (weight > 0) for (let k = 0; k < 3; k += 1) centre[k] = sum[k]! / weight;
    });
    if (!moved && round > 0) break;
  }
  const total = bins.reduce((sum, bin) => sum + bin.weight, 0);
  return centres
    .map((centre, c) => ({
      colour: linearOfLab(centre),
      share: bins.reduce((sum, bin, i) => (own[i] === c ? sum + bin.weight : sum), 0) / total,
    }))
    .filter((one) => one.share > 0)
    .sort((a, b) => b.share - a.share);
}

interface Bin {
  lab: Lab;
  weight: number;
}

/** Bins of like colour by the mean of what fell into them. */
function binned(pixels: Uint8ClampedArray): Bin[] {
  const bins = new Map<number, [number, number, number, number]>();
  const shift = 8 - BITS;
  for (let i = 0; i + 3 < pixels.length; i += 4) {
    if (pixels[i + 3]! < 128) continue;
    const key =
      ((pixels[i]! >> shift) << (2 * BITS)) | ((pixels[i + 1]! >> shift) << BITS) | (pixels[i + 2]! >> shift);
    const bin = bins.get(key);
    if (!bin) bins.set(key, [pixels[i]!, pixels[i + 1]!, pixels[i + 2]!, 1]);
    else {
      bin[0] += pixels[i]!;
      bin[1] += pixels[i + 1]!;
      bin[2] += pixels[i + 2]!;
      bin[3] += 1;
    }
  }
  return [...bins.values()].map(([r, g, b, n]) => {
    const lab = toOklab({ mode: 'rgb', r: r / n / 255, g: g / n / 255, b: b / n / 255 });
    return { lab: [lab.l, lab.a, lab.b], weight: n };
  });
}

function seeds(bins: readonly Bin[], count: number, next: () => number): Lab[] {
  const first = bins.reduce((most, bin) => (bin.weight > most.weight ? bin : most), bins[0]!);
  const centres: Lab[] = [[...first.lab]];
  while (centres.length < count) {
    const far = bins.map((bin) => bin.weight * apart2(bin.lab, centres[nearestOf(bin.lab, centres)]!));
    const total = far.reduce((sum, one) => sum + one, 0);
    if (total <= 0) break;
    let at = next() * total;
    const i = far.findIndex((one) => (at -= one) <= 0);
    centres.push([...bins[i < 0 ? bins.length - 1 : i]!.lab]);
  }
  return centres;
}

function nearestOf(lab: Lab, centres: readonly Lab[]): number {
  let best = 0;
  for (let c = 1; c < centres.length; c += 1)
    if (apart2(lab, centres[c]!) < apart2(lab, centres[best]!)) best = c;
  return best;
}

function apart2(a: Lab, b: Lab): number {
  return (a[0] - b[0]) ** 2 + (a[1] - b[1]) ** 2 + (a[2] - b[2]) ** 2;
}

function linearOfLab([l, a, b]: Lab): Triple {
  const { r, g, b: blue } = toLinear({ mode: 'oklab', l, a, b });
  const within = (value: number) => Math.max(0, Math.min(1, value));
  return [within(r), within(g), within(blue)];
}
