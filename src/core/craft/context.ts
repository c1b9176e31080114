import { DRAWN_FOR_ARC_MM, keptSize, type Disc } from '../geometry/regions';
import type { OnNail } from '../regions/on';
import { across_mm, along_mm, type NailFrame, type Point } from '../geometry/frame';
import type { Nail } from '../model/nail';
import { handOf, type NailName } from '../model/names';
import type { Practice } from '../model/practice';
import type { Product, Role } from '../model/product';
import { rounded } from '../model/rounded';
import type { Region } from '../regions';
import type { Laid } from './families';
import type { Place } from './operation';

/** All a technique or build may know about the nail it is planned on. */
export interface NailContext {
  name: NailName;
  nail: Nail;
  frame: NailFrame;
  practice: Practice;
  product: (id: string) => Product;
  role: (role: Role) => Product;
  /** A lamp of the kit is held to one nail by hand. */
  torch: boolean;
  /** Pieces are encapsulated on this nail: what lies below them is kept thin. */
  inlaid: boolean;
  /** All of them in islands, which the build frames and does not cover. */
  framed: boolean;
  /** What pieces are encapsulated in where they say nothing else: builder, and in a build of acrylic that. */
  clear: Product;
  /** What the look lays over all of the body in the body's own kind, which is built so much thinner. */
  melted?: { laid: Laid; t_um: number };
  /** How much the films inside a tip keep of the light, as Σ t/D_p; 0 where there are none. */
  dark: number;
  /** Where another element of the look lies on this nail; undefined for what has no part of its own. */
  partOf: (element: string) => Place | undefined;
  /** Art lies on the plate itself, below what is built or put on. */
  onPlate?: boolean;
  /** Raised lines lie on the nail when this element is laid. */
  ridged?: boolean;
  /** What stands out of the nail when this element is laid: a film is taken around it. */
  standing: readonly Standing[];
}

/** Something that stands out of the nail, with the clearance of a fine brush. */
export interface Standing extends Disc {
  /** "Around the stones". */
  what: 'stones' | 'charm';
  /** As its artist works, a top is run over it and not around. */
  topped?: true;
}

/** Finished gap between product and skin (common practice: set down about 0.79 mm short, then moved nearer). */
export const SKIN_MARGIN_MM = 0.25;

/** Gap a fine brush leaves around a bedded stone. */
export const STONE_CLEARANCE_MM = 0.15;

/** Only on another element of the look, or only beside it. */
export interface Within {
  element: string;
  outside: boolean;
}

/** How an element is laid on a nail of another size or on the other hand. */
export interface Fitting {
  fit: 'scale' | 'keep' | 'repeat' | 'drop';
  hand?: 'mirror' | 'same';
}

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

/** 1 as drawn, −1 where the element is turned over on this hand. */
export function sideOf(context: NailContext, fitting: Fitting): 1 | -1 {
  return isMirrored(context.name, fitting) ? -1 : 1;
}

/** Where a spot of a look lies on this nail, in mm. */
export function spotOn_mm(
  spot: { across: number; along: number },
  context: NailContext,
  fitting: Fitting,
): Point {
  return {
    x: sideOf(context, fitting) * across_mm(context.frame, spot.across),
    y: along_mm(context.frame, spot.along),
  };
}

/** How what is drawn in a look lies on this nail: for handles and what they move. */
export function onNail(context: NailContext, fitting: Fitting): OnNail {
  const { frame } = context;
  return {
    frame,
    side: sideOf(context, fitting),
    scale: scaleOn(frame, fitting),
    size: keptSize(frame, { keep: fitting.fit === 'keep' }),
  };
}

export function placeOf(
  context: NailContext,
  element: Fitting & { region: Region; within?: Within | null | undefined },
): Place {
  const inside = element.within && context.partOf(element.within.element);
  return {
    ...(inside && element.within ? { within: [{ place: inside, outside: element.within.outside }] } : {}),
    region: element.region,
    mirror: isMirrored(context.name, element),
    scale: rounded(scaleOn(context.frame, element), 6),
    margin_mm: SKIN_MARGIN_MM,
    ...(element.fit === 'keep' ? { keep: true } : {}),
  };
}

/** The whole nail up to the margin. */
export function wholePlace(): Place {
  return { region: { kind: 'whole' }, mirror: false, scale: 1, margin_mm: SKIN_MARGIN_MM };
}
