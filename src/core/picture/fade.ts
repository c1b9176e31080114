import { contextOf } from '../document/nailContext';
import type { Element } from '../craft/techniques';
import { techniqueOf } from '../craft/techniques';
import { runOf, type Run } from '../craft/paints';
import { BED, layerOf, over, type Triple } from '../colour/film';
import { difference, hexOf, lchOf } from '../colour/space';
import type { SetDocument } from '../document/document';
import { leastOf, mostOf } from '../model/extent';
import type { NailName } from '../model/names';
import { blendAt } from '../simulate/paints';

export interface Fade {
  /** After each pass, `#rrggbb` from the first colour to the last. */
  passes: string[][];
  /** CIEDE2000 over each of equal stretches of the finished fade. */
  steps: number[];
  /** The least of them as a share of the greatest; 1 is a fade that moves evenly. */
  evenness: number;
  /** Where the finished fade is greyest between two colours: how much of the duller one's chroma is lost there. */
  dip: { at: number; lost: number };
}

const SAMPLES = 60;
const STRETCHES = 10;

/** A fade as it is painted: pass over pass by the films of its operations on one nail; undefined where nothing fades. */
export function fadeOf(set: SetDocument, nail: NailName, element: Element): Fade | undefined {
  const context = contextOf(set, nail);
  const films = techniqueOf(element.kind)
    .plan(element, context)
    .flatMap(({ paint, deposit }) => {
      const run = runOf(paint);
      return run && deposit && 't_um' in deposit ? [{ run, t_um: deposit.t_um }] : [];
    });
  if (films.length === 0) return undefined;
  const shares = Array.from({ length: SAMPLES + 1 }, (_, i) => i / SAMPLES);
  let ground = shares.map(() => BED);
  const passes = films.map(({ run, t_um }) => {
    ground = shares.map((share, i) => over(layerOf(blendAt(run, share, context.product), t_um), ground[i]!));
    return ground.map(hexOf);
  });
  const at = (share: number) => ground[Math.round(share * SAMPLES)]!;
  const { stops } = films[films.length - 1]!.run;
  // Before its first colour and past its last a fade does not move, and is not meant to.
  const [first, span] = [stops[0]!.at, stops[stops.length - 1]!.at - stops[0]!.at];
  const steps = Array.from({ length: STRETCHES }, (_, i) =>
    difference(at(first + (span * i) / STRETCHES), at(first + (span * (i + 1)) / STRETCHES)),
  );
  return {
    passes,
    steps: steps.map((step) => Math.round(step * 10) / 10),
    evenness: mostOf(steps) > 0 ? leastOf(steps) / mostOf(steps) : 1,
    dip: dipOf(films[films.length - 1]!.run, shares, ground),
  };
}

function dipOf({ stops }: Run, shares: readonly number[], seen: readonly Triple[]): Fade['dip'] {
  const chroma = seen.map((colour) => lchOf(colour).chroma);
  const near = (share: number) =>
    Math.max(
      0,
      shares.findIndex((one) => one >= share),
    );
  let worst = { at: 0, lost: 0 };
  stops.slice(1).forEach((b, i) => {
    const [from, to] = [near(stops[i]!.at), near(b.at)];
    const duller = Math.min(chroma[from]!, chroma[to]!);
    for (let k = from; k <= to; k += 1) {
      const lost = duller > 0 ? 1 - chroma[k]! / duller : 0;
      if (lost > worst.lost) worst = { at: shares[k]!, lost };
    }
  });
  return worst;
}
