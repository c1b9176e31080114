import { toStretch_mm2 } from './lines';
import type { Smile } from '../model/smile';
import { across_mm, along_mm, alongOutline, outlineDistance_mm, type NailFrame, type Point } from './frame';

/**
 * A region laid on one nail: its curve for areas, overlap and sealing, and a signed distance in mm (positive
 * inside) for the grid and for pictures.
 */
export interface Area {
  /** Closed curves, in mm; more than one where the region falls apart, as beads under stones do. */
  polygons: Point[][];
  distance_mm: (x: number, y: number) => number;
}

/** The box around an area's curves, worked out once: pictures ask for it with every move of a hand. */
export function boundsOf(area: Area): { left: number; right: number; low: number; high: number } {
  let box = bounds.get(area);
  if (box) return box;
  box = { left: Infinity, right: -Infinity, low: Infinity, high: -Infinity };
  for (const polygon of area.polygons)
    for (const { x, y } of polygon) {
      if (x < box.left) box.left = x;
      if (x > box.right) box.right = x;
      if (y < box.low) box.low = y;
      if (y > box.high) box.high = y;
    }
  bounds.set(area, box);
  return box;
}
const bounds = new WeakMap<Area, { left: number; right: number; low: number; high: number }>();

export interface Disc {
  x: number;
  y: number;
  r_mm: number;
}

/**
 * How a region is laid: turned over for the other hand, kept `margin_mm` off the skin. `scale` acts on sizes in
 * mm: those of ovals and smile lines. Bands and outlines are drawn by share and landmark and shrink with the
 * nail by themselves; `keep` gives them the size they were drawn in.
 */
export interface Laying {
  mirror: boolean;
  scale: number;
  margin_mm: number;
  keep?: boolean;
}

/** Looks are drawn for a nail of this arc, in mm; narrower nails scale down, wider ones keep the size. */
export const DRAWN_FOR_ARC_MM = 14;

/** How much larger than its share of this nail a part must be laid to keep the size it was drawn in. */
export function keptSize(frame: NailFrame, { keep }: { keep?: boolean }): number {
  return keep ? Math.max(1, DRAWN_FOR_ARC_MM / frame.arc_mm) : 1;
}

export const AS_DRAWN: Laying = { mirror: false, scale: 1, margin_mm: 0 };

/** The smile line as y over x on one nail. */
export function smileLine(frame: NailFrame, smile: Smile, laying: Laying = AS_DRAWN): (x: number) => number {
  const half = frame.arc_mm / 2;
  const tilt = laying.mirror ? -smile.tilt_mm : smile.tilt_mm;
  return (x) => {
    const share = Math.max(-1, Math.min(1, x / half));
    return (
      frame.bed_mm + laying.scale * (smile.rise_mm - smile.depth_mm * share * share + (tilt * share) / 2)
    );
  };
}

export function smilePolyline(
  frame: NailFrame,
  smile: Smile,
  laying: Laying = AS_DRAWN,
  steps = 24,
): Point[] {
  const line = smileLine(frame, smile, laying);
  const half = frame.arc_mm / 2;
  return Array.from({ length: steps + 1 }, (_, i) => {
    const x = -half + (2 * half * i) / steps;
    return { x, y: line(x) };
  });
}

/** Share of the margin that is kept at `y`: it ends softly where the free edge leaves the skin. */
function skinAt(frame: NailFrame, y: number): number {
  return Math.max(0, Math.min(1, (frame.bed_mm + 0.5 - y) / (0.5 + frame.bed_mm * 0.45)));
}

/** Distance to the outline, kept off the skin. */
export function offSkin_mm(frame: NailFrame, x: number, y: number, margin_mm: number): number {
  return outlineDistance_mm(frame, x, y) - margin_mm * skinAt(frame, y);
}

/** The outline kept off the skin, as a closed curve: the same line that `offSkin_mm` is 0 on. */
export function offSkinPolygon(frame: NailFrame, margin_mm: number, steps = 40): Point[] {
  const right = alongOutline(steps).map((t): Point => {
    const y = margin_mm + t * (frame.length_mm - margin_mm);
    const low = Math.max(0, y - 0.05);
    const high = Math.min(frame.length_mm, y + 0.05);
    const slope = (frame.halfWidth_mm(high) - frame.halfWidth_mm(low)) / (high - low);
    const inset = margin_mm * skinAt(frame, y) * Math.sqrt(1 + slope * slope);
    return { x: Math.max(0, frame.halfWidth_mm(y) - inset), y };
  });
  return [...right, ...right.map((point) => ({ x: -point.x, y: point.y })).reverse()];
}

/** Points drawn by share and landmark, as they lie on this nail; kept at the size they were drawn in where asked. */
export function drawnPoints(
  frame: NailFrame,
  points: readonly { across: number; along: number }[],
  laying: Laying,
): Point[] {
  const drawn = points.map((point) => ({
    x: (laying.mirror ? -1 : 1) * across_mm(frame, point.across),
    y: along_mm(frame, point.along),
  }));
  const size = keptSize(frame, laying);
  const cx = drawn.reduce((sum, p) => sum + p.x, 0) / drawn.length;
  const cy = drawn.reduce((sum, p) => sum + p.y, 0) / drawn.length;
  return drawn.map((p) => ({ x: cx + size * (p.x - cx), y: cy + size * (p.y - cy) }));
}

export function unique(point: Point, index: number, all: Point[]): boolean {
  const next = all[(index + 1) % all.length]!;
  return index === all.length - 1 || Math.hypot(next.x - point.x, next.y - point.y) > 1e-6;
}

export function clampTo(frame: NailFrame, point: Point): number {
  const half = frame.halfWidth_mm(Math.max(0, Math.min(point.y, frame.length_mm)));
  return Math.max(-half, Math.min(half, point.x));
}

/** An area with discs left free, each with `clearance_mm` around it. */
export function leaveFree(area: Area, discs: readonly Disc[], clearance_mm: number): Area {
  if (discs.length === 0) return area;
  const holes = discs.map((disc) => ({ ...disc, r_mm: disc.r_mm + clearance_mm }));
  return {
    ...area,
    distance_mm: (x, y) => {
      let distance = area.distance_mm(x, y);
      for (const hole of holes) {
        const dx = x - hole.x;
        const dy = y - hole.y;
        distance = Math.min(distance, Math.sqrt(dx * dx + dy * dy) - hole.r_mm);
      }
      return distance;
    },
  };
}

/** Signed distance to a polygon in mm, positive inside. */
export function polygonDistance_mm(polygon: readonly Point[], x: number, y: number): number {
  let nearest2 = Infinity;
  let inside = false;
  for (let i = 0, j = polygon.length - 1; i < polygon.length; j = i, i += 1) {
    const p = polygon[i]!;
    const q = polygon[j]!;
    const away2 = toStretch_mm2(p, q, x, y);
    if (away2 < nearest2) nearest2 = away2;
    if (p.y > y !== q.y > y && x < p.x + ((y - p.y) / (q.y - p.y)) * (q.x - p.x)) inside = !inside;
  }
  const nearest = Math.sqrt(nearest2);
  return inside ? nearest : -nearest;
}
