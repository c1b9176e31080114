import { areaOf } from '../../craft/area';
import type { NailFrame } from '../../geometry/frame';
import type { Area } from '../../geometry/regions';
import { isSelfEdged } from '../../geometry/profiles';
import type { Film } from '../../simulate/field';
import type { FindingDraft } from '../finding';
import { granted, type NailRule } from '../rule';

/** A brush gets to the bottom of what is wider than this, or wider than it is deep (common practice). */
const BRUSH_MM = 0.4;
/** Lower ridges are no valley to a brush. */
const DEEP_UM = 150;
/** A shorter stretch fills from its ends. */
const LONG_MM = 2;
/** How fine edges are gone along, and looked across. */
const ALONG_MM = 0.4;
const ACROSS_MM = 0.05;

/** Ridges so close that what is brushed over them runs over their crests: powder takes on no bare valley. */
export const valleysBare: NailRule = {
  codes: ['valleys-bare'],
  asks: 'Does what is brushed over relief get into its valleys?',
  check: (nail) => {
    const { films } = nail.field;
    const told = new Set<string>();
    return films.flatMap((film, at): FindingDraft[] => {
      const operation = nail.operations.find((one) => one.id === film.operation);
      const full_um = film.full_um ?? 0;
      if (!operation || told.has(operation.element) || !film.profile || !isSelfEdged(film.profile)) return [];
      const over = films.slice(at + 1).find((one) => isBrushedOver(one, film));
      const brushed = over && nail.operations.find((one) => one.id === over.operation);
      if (full_um < DEEP_UM || !brushed) return [];
      const narrow = narrowValley(areaOf(nail.context.frame, film.place), nail.context.frame, full_um / 1000);
      if (narrow === undefined) return [];
      told.add(operation.element);
      const wider_mm = Math.ceil((BRUSH_MM - narrow) * 20 + 1) / 20;
      return [
        {
          severity: 'warn',
          operation: operation.id,
          element: operation.element,
          message: `${brushed.words} does not get into the valleys of the relief: its ridges stand too close.`,
          reason:
            'A brush rides over narrow valleys and leaves them bare: they stay dull, powder does not take there, and lifting starts from them.',
          figure: { words: 'between ridges', value: narrow, limit: BRUSH_MM, is: 'at least', unit: 'mm' },
          tries: granted(nail, operation.element, 'wider-valleys', { wider_mm }),
        },
      ];
    });
  },
};

/** A film of another work that follows what lies below it, over some of the relief. */
function isBrushedOver(over: Film, relief: Film): boolean {
  if (over.kind !== 'film' || over.profile || over.level_um !== undefined) return false;
  return over.t_um.some((t, cell) => t > 0 && relief.t_um[cell]! > 0);
}

/** How wide the narrow valleys between a relief's ridges are at least, in mm; undefined where none is narrow. */
function narrowValley({ polygons, distance_mm }: Area, { length_mm }: NailFrame, deep_mm: number) {
  const widest = Math.min(BRUSH_MM, deep_mm);
  let stretch_mm = 0;
  let least = Infinity;
  for (const polygon of polygons)
    polygon.forEach((a, i) => {
      const b = polygon[(i + 1) % polygon.length]!;
      const long = Math.hypot(b.x - a.x, b.y - a.y);
      const steps = Math.max(1, Math.ceil(long / ALONG_MM));
      for (let k = 0; k < steps && long > 0; k += 1) {
        const at = { x: a.x + ((b.x - a.x) * (k + 0.5)) / steps, y: a.y + ((b.y - a.y) * (k + 0.5)) / steps };
        if (at.y < 0 || at.y > length_mm) continue;
        const gap = gapFrom(at, { x: (b.y - a.y) / long, y: -(b.x - a.x) / long }, distance_mm, widest);
        if (gap === undefined) continue;
        stretch_mm += long / steps;
        least = Math.min(least, gap);
      }
    });
  // Each valley has an edge on either side.
  return stretch_mm / 2 >= LONG_MM ? Math.round(least * 100) / 100 : undefined;
}

/** From a ridge's edge straight outwards: how far the next ridge is, where that is nearer than `most`. */
function gapFrom(
  at: { x: number; y: number },
  normal: { x: number; y: number },
  distance_mm: Area['distance_mm'],
  most: number,
): number | undefined {
  const into = (far: number) => distance_mm(at.x + normal.x * far, at.y + normal.y * far);
  const out = into(ACROSS_MM) < into(-ACROSS_MM) ? 1 : -1;
  if (into(out * ACROSS_MM) >= 0) return undefined;
  for (let far = 2 * ACROSS_MM; far < most; far += ACROSS_MM) if (into(out * far) > 0) return far;
  return undefined;
}
