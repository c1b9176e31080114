import { buildOf, frameOf, takesTip } from '../../document/nailContext';
import { curveClassOf, fitTips, type TipsFitted } from '../../craft/tipFit';
import type { SetDocument } from '../../document/document';
import { mostOf } from '../../model/extent';
import { NAILS, nailWords, type NailName } from '../../model/names';
import type { TipBox } from '../../model/product';
import { rounded } from '../../model/rounded';
import type { SetRule } from '../rule';

/** Wider than this and filing the sides takes the tip's strength (common practice). */
const MAX_SPARE_MM = 1.3;

/** The boxes that a set has, by name. */
function boxWords(boxes: readonly TipBox[]): string {
  if (boxes.length === 0) return 'this set, which has no box of tips,';
  return boxes.length === 1 ? `“${boxes[0]!.name}”` : `its ${boxes.length} boxes`;
}

/** The tips that the nails of a set get from its boxes. */
export function tipsOf(set: SetDocument): TipsFitted {
  const wants = NAILS.filter((name) => set.nails[name].in_work && takesTip(set, set.nails[name]));
  const isHalf = (nail: NailName) => buildOf(set, set.nails[nail]).kind === 'half-tip';
  const fit = (nails: readonly NailName[], boxes: readonly TipBox[]) =>
    fitTips(
      nails.map((nail) => ({
        nail,
        arc_mm: frameOf(set.nails[nail], buildOf(set, set.nails[nail])).arc_mm,
        curve: curveClassOf(set.nails[nail].plate),
      })),
      boxes,
    );
  // Where no box is noted as one of half tips, all are taken from the same.
  if (!set.kit.tips.some((box) => box.half)) return fit(wants, set.kit.tips);
  const [full, half] = [false, true].map((is) =>
    fit(
      wants.filter((nail) => isHalf(nail) === is),
      set.kit.tips.filter((box) => (box.half ?? false) === is),
    ),
  );
  return { ...full!, fits: [...full!.fits, ...half!.fits], without: [...full!.without, ...half!.without] };
}

/**
 * Of these boxes those that would give each of these nails a tip that needs no more filing than is right, the fewest of
 * another curve first, then the least filing.
 */
export function boxesThatServe(
  set: SetDocument,
  nails: readonly NailName[],
  boxes: readonly TipBox[],
): { box: TipBox; otherCurves: number }[] {
  return boxes
    .flatMap((box) => {
      if (set.kit.tips.some((one) => one.id === box.id)) return [];
      const all = tipsOf({ ...set, kit: { ...set.kit, tips: [...set.kit.tips, box] } }).fits;
      const fits = all.filter((fit) => nails.includes(fit.nail) && fit.spare_mm <= MAX_SPARE_MM);
      if (fits.length < nails.length || !fits.some((fit) => fit.box.id === box.id)) return [];
      const otherCurves = fits.filter((fit) => fit.otherCurve).length;
      return [{ box, otherCurves, spare_mm: fits.reduce((sum, fit) => sum + fit.spare_mm, 0) }];
    })
    .sort((a, b) => a.otherCurves - b.otherCurves || a.spare_mm - b.spare_mm)
    .map(({ box, otherCurves }) => ({ box, otherCurves }));
}

/** A tip must reach sidewall to sidewall; between sizes the wider one is taken and filed; sizes run out. */
export const tipSize: SetRule = {
  codes: ['tip-misfit', 'tip-curve'],
  asks: 'Is there a tip for every nail that reaches sidewall to sidewall?',
  check: ({ set }) => {
    const { fits, without } = tipsOf(set);
    const widest = Math.max(0, mostOf(set.kit.tips.flatMap((box) => box.sizes.map((size) => size.arc_mm))));
    const missing = without.map((nail) => {
      const arc = frameOf(set.nails[nail], buildOf(set, set.nails[nail])).arc_mm;
      const tooWide = arc > widest;
      return {
        severity: 'stop' as const,
        nail,
        message: tooWide
          ? `No tip of ${boxWords(set.kit.tips)} reaches sidewall to sidewall of the ${nailWords(nail)}: the widest is ${rounded(arc - widest, 1)} mm too narrow.`
          : `No tip is left in ${boxWords(set.kit.tips)} that reaches sidewall to sidewall of the ${nailWords(nail)}.`,
        reason: tooWide
          ? 'Too narrow a tip lifts or cracks along the sides. Take another box, or measure this nail again.'
          : 'The sizes that would fit go to other nails. Too narrow a tip lifts or cracks along the sides: take another box.',
        figure: {
          words: 'widest tip, along its curve',
          value: rounded(widest, 1),
          limit: rounded(arc, 1),
          is: 'at least' as const,
          unit: 'mm',
        },
      };
    });
    const spare = fits
      .filter((fit) => fit.spare_mm > MAX_SPARE_MM)
      .map((fit) => ({
        severity: 'warn' as const,
        nail: fit.nail,
        message: `The nearest tip for the ${nailWords(fit.nail)}, size ${fit.size} of “${fit.box.name}”, is ${rounded(fit.spare_mm, 1)} mm too wide.`,
        reason: 'Filing so much off the sides takes the tip’s strength; left on, it lifts at the sides.',
        figure: {
          words: 'too wide by',
          value: rounded(fit.spare_mm, 2),
          limit: MAX_SPARE_MM,
          is: 'at most' as const,
          unit: 'mm',
        },
      }));
    const curves = fits
      .filter((fit) => fit.otherCurve)
      .map((fit) => ({
        severity: 'note' as const,
        code: 'tip-curve' as const,
        nail: fit.nail,
        message: `The ${nailWords(fit.nail)} has a ${curveClassOf(set.nails[fit.nail].plate)} curve, the tip a ${fit.box.curve} one.`,
        reason:
          'A tip flatter than its nail springs off at the sides, a stronger one pinches. A box of the other curve fits closer.',
      }));
    return [...missing, ...spare, ...curves];
  },
};
