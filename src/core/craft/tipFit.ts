import type { NailName } from '../model/names';
import type { CurveClass, TipBox } from '../model/product';
import { assign } from './assign';

/** A nail that wants a tip: its arc from sidewall to sidewall, and its curve. */
export interface WantsTip {
  nail: NailName;
  arc_mm: number;
  curve: CurveClass;
}

/** The tip that a nail gets: `spare_mm` is what is filed off both sides together. */
export interface TipFit {
  nail: NailName;
  box: TipBox;
  size: number;
  spare_mm: number;
  /** The tip is of another curve than the nail: pressed flat it springs off, or it pinches. */
  otherCurve: boolean;
}

export interface TipsFitted {
  fits: TipFit[];
  /** Nails for which no tip is left that reaches. */
  without: NailName[];
}

/** A caliper reads to a tenth: a tip this much narrower still reaches. */
const READS_TO_MM = 0.05;
/** Rather so much more filing than a tip of another curve. */
const CURVE_COST_MM = 3;
/** Rather any fitting than one nail more without a tip. */
const WITHOUT_COST_MM = 1000;

/** C-curves by height over width (from memory). */
const FLAT_BELOW = 0.16;
const STRONG_FROM = 0.28;

export function curveClassOf(plate: { width_mm: number; arch_mm: number }): CurveClass {
  const share = plate.arch_mm / plate.width_mm;
  return share < FLAT_BELOW ? 'flat' : share < STRONG_FROM ? 'normal' : 'strong';
}

/**
 * Gives every nail a tip of the boxes, with no more of a size than are left: never one too narrow, with the least
 * filing over all nails together, of the nail's own curve where one is left.
 */
export function fitTips(nails: readonly WantsTip[], boxes: readonly TipBox[]): TipsFitted {
  const tips = boxes.flatMap((box) =>
    box.sizes.flatMap((size) =>
      // More of a size than there are nails are never wanted.
      Array.from({ length: Math.min(size.count, nails.length) }, () => ({ box, ...size })),
    ),
  );
  const costs = nails.map((nail) => [
    ...tips.map((tip) => cost_mm(nail, tip.arc_mm, tip.box.curve)),
    // Going without is possible for each of them.
    ...nails.map(() => WITHOUT_COST_MM),
  ]);
  const chosen = assign(costs);
  const fitted: TipsFitted = { fits: [], without: [] };
  nails.forEach((nail, i) => {
    const tip = tips[chosen[i]!];
    if (!tip || !Number.isFinite(costs[i]![chosen[i]!]!)) {
      fitted.without.push(nail.nail);
      return;
    }
    fitted.fits.push({
      nail: nail.nail,
      box: tip.box,
      size: tip.size,
      spare_mm: Math.max(0, tip.arc_mm - nail.arc_mm),
      otherCurve: tip.box.curve !== nail.curve,
    });
  });
  return fitted;
}

function cost_mm(nail: WantsTip, arc_mm: number, curve: CurveClass): number {
  const spare = arc_mm - nail.arc_mm;
  if (spare < -READS_TO_MM) return Infinity;
  return Math.max(0, spare) + (curve === nail.curve ? 0 : CURVE_COST_MM);
}

/** "Size 5, file 0.3 mm off each side": what to do with a tip before it is fixed. */
export function tipWords({ size, spare_mm, box, otherCurve }: TipFit): string {
  const side = spare_mm / 2;
  const filing = side < READS_TO_MM ? 'fits as it is' : `file ${side.toFixed(1)} mm off each side`;
  return `Size ${size}, ${filing}${otherCurve ? `; its curve is ${box.curve}` : ''}`;
}
