import { buildKindOf } from '../craft/builds';
import type { Change } from '../document/changes';
import type { SetDocument } from '../document/document';
import { leastOf } from '../model/extent';
import type { NailName } from '../model/names';
import { rounded } from '../model/rounded';
import { buildOf, frameOf } from '../document/nailContext';

/** Length of a nail past its free edge, in mm. */
export function lengthPast_mm(set: SetDocument, name: NailName): number {
  const frame = frameOf(set.nails[name], buildOf(set, set.nails[name]));
  return rounded(frame.length_mm - frame.bed_mm, 2);
}

/**
 * Gives nails lengths that look equal: the same mm past the free edge, or the same share of each bed. The wearer's own
 * nails are only ever filed, so the shortest of them says how long; made ones meet in the middle.
 */
export function equalLengths(set: SetDocument, nails: readonly NailName[], by: 'mm' | 'share'): Change {
  const measured = nails.map((nail) => ({
    nail,
    own: buildKindOf(buildOf(set, set.nails[nail]).kind).edge === 'plate',
    bed_mm: set.nails[nail].plate.bed_mm,
    past_mm: lengthPast_mm(set, nail),
  }));
  const value = ({ past_mm, bed_mm }: (typeof measured)[number]) =>
    by === 'mm' ? past_mm : past_mm / bed_mm;
  const own = measured.filter((one) => one.own).map(value);
  const mean = measured.reduce((sum, one) => sum + value(one), 0) / Math.max(1, measured.length);
  const target = own.length > 0 ? leastOf(own) : mean;
  return {
    kind: 'many',
    changes: measured.map(({ nail, own: isOwn, bed_mm }): Change => {
      const length_mm = rounded(by === 'mm' ? target : target * bed_mm, 1);
      return isOwn
        ? { kind: 'measure', nails: [nail], plate: { free_edge_mm: length_mm } }
        : { kind: 'nail', nails: [nail], put: { own_free_mm: length_mm } };
    }),
  };
}
