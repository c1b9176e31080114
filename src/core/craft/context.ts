import { disc } from '../geometry/figures';
import { layRegion, leaveFree, smileLine, type Area, type Disc } from '../geometry/regions';
import type { NailFrame } from '../geometry/frame';
import type { Nail } from '../model/nail';
import { handOf, type NailName } from '../model/names';
import type { Practice } from '../model/practice';
import type { Product, Role } from '../model/product';
import type { Region } from '../model/region';
import type { Draft, Place } from './operation';
import { cureSeconds, flashSeconds } from './cure';
import { HAND_S } from './handwork';

/** All a technique or build may know about the nail it is planned on. */
export interface NailContext {
  name: NailName;
  nail: Nail;
  frame: NailFrame;
  practice: Practice;
  product: (id: string) => Product;
  role: (role: Role) => Product;
  /** Bedded stones and charms: a top coat over the whole nail is taken around them. */
  bedded: Disc[];
  /** All that stands out of the nail: an accent painted afterwards is taken around it. */
  standing: Disc[];
}

/** Finished gap between product and skin (common practice: set down about 0.79 mm short, then moved nearer). */
export const SKIN_MARGIN_MM = 0.25;

/** Gap a fine brush leaves around a bedded stone. */
export const STONE_CLEARANCE_MM = 0.15;

/** How an element is laid on a nail of another size or on the other hand. */
export interface Fitting {
  fit: 'scale' | 'keep' | 'repeat' | 'drop';
  hand: 'mirror' | 'same';
}

/** Looks are drawn for a nail of this arc, in mm; narrower nails scale down, wider ones keep the size. */
export const DRAWN_FOR_ARC_MM = 14;

export function scaleOn(frame: NailFrame, fitting: Fitting): number {
  return fitting.fit === 'scale' ? Math.min(1, frame.arc_mm / DRAWN_FOR_ARC_MM) : 1;
}

/** Nails narrower than this share of what a look is drawn for leave "drop" elements off. */
const DROP_BELOW = 0.75;

export function isLeftOff(frame: NailFrame, fitting: Fitting): boolean {
  return fitting.fit === 'drop' && frame.arc_mm < DRAWN_FOR_ARC_MM * DROP_BELOW;
}

export function isMirrored(name: NailName, fitting: Fitting): boolean {
  return fitting.hand === 'mirror' && handOf(name) === 'right';
}

export function placeOf(context: NailContext, element: Fitting & { region: Region }): Place {
  return {
    region: element.region,
    mirror: isMirrored(context.name, element),
    scale: scaleOn(context.frame, element),
    margin_mm: SKIN_MARGIN_MM,
  };
}

/** The whole nail up to the margin. */
export function wholePlace(): Place {
  return { region: { kind: 'whole' }, mirror: false, scale: 1, margin_mm: SKIN_MARGIN_MM };
}

/** The curve of a place on a nail. */
export function areaOf(frame: NailFrame, place: Place): Area {
  const laying = { mirror: place.mirror, scale: place.scale, margin_mm: place.margin_mm };
  if (place.along_smile_mm !== undefined && place.region.kind === 'tip') {
    return alongSmile(frame, place.region.smile, place.along_smile_mm, laying);
  }
  if (place.around) {
    const discs = place.around;
    return {
      polygons: discs.map((d) => disc(d.x, d.y, d.r_mm)),
      distance_mm: (x, y) =>
        discs.reduce((d, at) => Math.max(d, at.r_mm - Math.hypot(x - at.x, y - at.y)), -1e3),
    };
  }
  const area = layRegion(frame, place.region, laying);
  return place.free?.length ? leaveFree(area, place.free, 0) : area;
}

function alongSmile(
  frame: NailFrame,
  smile: Extract<Region, { kind: 'tip' }>['smile'],
  width_mm: number,
  laying: { mirror: boolean; scale: number; margin_mm: number },
): Area {
  const line = smileLine(frame, smile, laying);
  const whole = layRegion(frame, { kind: 'whole' }, laying);
  const half = frame.arc_mm / 2 - laying.margin_mm;
  const steps = 24;
  const upper = Array.from({ length: steps + 1 }, (_, i) => {
    const x = -half + (2 * half * i) / steps;
    return { x, y: line(x) + width_mm / 2 };
  });
  const lower = upper.map((point) => ({ x: point.x, y: point.y - width_mm })).reverse();
  return {
    polygons: [[...upper, ...lower]],
    distance_mm: (x, y) => {
      const slope = (line(x + 0.05) - line(x - 0.05)) / 0.1;
      const off = Math.abs(y - line(x)) / Math.sqrt(1 + slope * slope);
      return Math.min(width_mm / 2 - off, whole.distance_mm(x, y));
    },
  };
}

/* ---- drafts that techniques share ---- */

/** A full cure of the product just laid. */
export function cureOf(product: Product, t_um: number, place: Place, step = 'cure', pass = 1): Draft {
  const seconds = cureSeconds(product, t_um);
  return {
    step,
    pass,
    verb: 'cure',
    words: `Cure ${product.name}`,
    place,
    hand_s: HAND_S.cure,
    lamp: { mode: 'cure', seconds },
    reason: `${product.name} hardens in the lamp: ${seconds} s for ${Math.round(t_um)} µm.`,
  };
}

/** A short cure that makes the product hold its place. */
export function flashOf(
  product: Product,
  t_um: number,
  place: Place,
  why: string,
  step = 'flash',
  pass = 1,
): Draft {
  return {
    step,
    pass,
    verb: 'flash',
    words: `Flash ${product.name}`,
    place,
    hand_s: HAND_S.flash,
    lamp: { mode: 'flash', seconds: flashSeconds(product, t_um) },
    reason: why,
  };
}

export function wipeDraft(context: NailContext, step: string, why: string, place = wholePlace()): Draft {
  const cleanser = context.role('cleanser');
  return {
    step,
    verb: 'wipe',
    words: 'Wipe, lint-free',
    product: cleanser.id,
    place,
    hand_s: HAND_S.wipe,
    reason: why,
  };
}

/** Passes a colour needs: its coats to cover, rounded up; a sheer is built in as many as its direction says. */
export function passesOf(product: Product, asked: number | 'cover'): number {
  if (asked !== 'cover') return asked;
  return Math.min(5, Math.max(1, Math.ceil((product.coats_to_cover ?? 2) - 1e-9)));
}

export function coatOf(product: Product): number {
  return product.coat_um ?? 50;
}
