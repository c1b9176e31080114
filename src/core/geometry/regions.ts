import { dotPolygons, dotsDistance_mm } from './dots';
import { letterLines } from './letters';
import { linePolygons, linesDistance_mm, smoothLine, stripPolygons, toLine_mm, toStretch_mm2 } from './lines';
import type { Region, Smile } from '../model/region';
import {
  across_mm,
  along_mm,
  alongOutline,
  outlineDistance_mm,
  outlinePolygon,
  type NailFrame,
  type Point,
} from './frame';

/**
 * A region laid on one nail: its curve for areas, overlap and sealing, and a signed distance in mm (positive
 * inside) for the grid and for pictures.
 */
export interface Area {
  /** Closed curves, in mm; more than one where the region falls apart, as beads under stones do. */
  polygons: Point[][];
  distance_mm: (x: number, y: number) => number;
}

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
function keptSize(frame: NailFrame, laying: Laying): number {
  return laying.keep ? Math.max(1, DRAWN_FOR_ARC_MM / frame.arc_mm) : 1;
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
function offSkin_mm(frame: NailFrame, x: number, y: number, margin_mm: number): number {
  return outlineDistance_mm(frame, x, y) - margin_mm * skinAt(frame, y);
}

/** The outline kept off the skin, as a closed curve: the same line that `offSkin_mm` is 0 on. */
function offSkinPolygon(frame: NailFrame, margin_mm: number, steps = 40): Point[] {
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

type Kind = Region['kind'];
type Layer<K extends Kind> = (frame: NailFrame, region: Extract<Region, { kind: K }>, laying: Laying) => Area;

const LAYERS: { [K in Kind]: Layer<K> } = {
  whole: (frame, _region, { margin_mm }) => ({
    polygons: [offSkinPolygon(frame, margin_mm)],
    distance_mm: (x, y) => offSkin_mm(frame, x, y, margin_mm),
  }),
  band: (frame, region, laying) => {
    const { margin_mm } = laying;
    const middle = (along_mm(frame, region.from) + along_mm(frame, region.to)) / 2;
    const size = keptSize(frame, laying);
    const from = region.from <= 0 ? 0 : middle + size * (along_mm(frame, region.from) - middle);
    const to = region.to >= 2 ? frame.length_mm : middle + size * (along_mm(frame, region.to) - middle);
    return {
      polygons: [
        offSkinPolygon(frame, margin_mm).map(({ x, y }) => {
          const kept = Math.min(Math.max(y, from), to);
          return { x: Math.sign(x) * Math.min(Math.abs(x) + 1, frame.halfWidth_mm(kept)), y: kept };
        }),
      ],
      distance_mm: (x, y) =>
        Math.min(
          offSkin_mm(frame, x, y, margin_mm),
          region.from <= 0 ? Infinity : y - from,
          region.to >= 2 ? Infinity : to - y,
        ),
    };
  },
  tip: (frame, region, laying) => {
    const line = smileLine(frame, region.smile, laying);
    const low = smilePolyline(frame, region.smile, laying);
    const edge = outlinePolygon(frame).filter((point) => point.y > line(point.x));
    return {
      polygons: [[...low.map((p) => ({ x: clampTo(frame, p), y: p.y })), ...edge.filter(unique)]],
      distance_mm: (x, y) => {
        const slope = (line(x + 0.05) - line(x - 0.05)) / 0.1;
        return Math.min(
          offSkin_mm(frame, x, y, laying.margin_mm),
          (y - line(x)) / Math.sqrt(1 + slope * slope),
        );
      },
    };
  },
  bed: (frame, region, laying) => {
    const line = smileLine(frame, region.smile, laying);
    return {
      polygons: [
        offSkinPolygon(frame, laying.margin_mm).map((point) => {
          const y = Math.min(point.y, Math.min(frame.length_mm, line(point.x)));
          return { x: clampTo(frame, { x: point.x, y }), y };
        }),
      ],
      distance_mm: (x, y) => {
        const slope = (line(x + 0.05) - line(x - 0.05)) / 0.1;
        return Math.min(
          offSkin_mm(frame, x, y, laying.margin_mm),
          (line(x) - y) / Math.sqrt(1 + slope * slope),
        );
      },
    };
  },
  oval: (frame, region, laying) => {
    const sign = laying.mirror ? -1 : 1;
    const cx = sign * across_mm(frame, region.across);
    const cy = along_mm(frame, region.along);
    const a = (region.width_mm * laying.scale) / 2;
    const b = (region.length_mm * laying.scale) / 2;
    const turn = (sign * region.turn_deg * Math.PI) / 180;
    const cos = Math.cos(turn);
    const sin = Math.sin(turn);
    return {
      polygons: [
        Array.from({ length: 40 }, (_, i) => {
          const angle = (2 * Math.PI * i) / 40;
          const px = a * Math.cos(angle);
          const py = b * Math.sin(angle);
          return { x: cx + px * cos - py * sin, y: cy + px * sin + py * cos };
        }),
      ],
      distance_mm: (x, y) => {
        const px = (x - cx) * cos + (y - cy) * sin;
        const py = -(x - cx) * sin + (y - cy) * cos;
        return Math.min(
          (1 - Math.hypot(px / a, py / b)) * Math.min(a, b),
          offSkin_mm(frame, x, y, laying.margin_mm),
        );
      },
    };
  },
  lines: (frame, region, laying) => {
    const sign = laying.mirror ? -1 : 1;
    const { wave, ...bare } = region;
    const lines = {
      ...bare,
      width_mm: region.width_mm * laying.scale,
      pitch_mm: region.pitch_mm * laying.scale,
      turn_deg: sign * region.turn_deg,
      ...(wave
        ? {
            wave: {
              // Turned over, a wave begins to the other side.
              rise_mm: sign * wave.rise_mm * laying.scale,
              length_mm: wave.length_mm * laying.scale,
            },
          }
        : {}),
      at: { x: sign * across_mm(frame, region.across), y: along_mm(frame, region.along) },
    };
    const into_mm = linesDistance_mm(lines);
    return {
      polygons: linePolygons(lines),
      distance_mm: (x, y) => Math.min(into_mm(x, y), offSkin_mm(frame, x, y, laying.margin_mm)),
    };
  },
  dots: (frame, region, laying) => {
    const sign = laying.mirror ? -1 : 1;
    const dots = {
      ...region,
      dot_mm: region.dot_mm * laying.scale,
      pitch_mm: region.pitch_mm * laying.scale,
      turn_deg: sign * region.turn_deg,
      at: { x: sign * across_mm(frame, region.across), y: along_mm(frame, region.along) },
    };
    const into_mm = dotsDistance_mm(dots);
    return {
      polygons: dotPolygons(dots),
      distance_mm: (x, y) => Math.min(into_mm(x, y), offSkin_mm(frame, x, y, laying.margin_mm)),
    };
  },
  letters: (frame, region, laying) => {
    const sign = laying.mirror ? -1 : 1;
    const width_mm = region.width_mm * laying.scale;
    // On the other hand they lie on the other side, and read the same way.
    const middle = { x: sign * across_mm(frame, region.across), y: along_mm(frame, region.along) };
    const lines = letterLines(region.text, region.height_mm * laying.scale, sign * region.turn_deg, middle);
    return {
      polygons: lines.flatMap((line) => stripPolygons(line, width_mm)),
      distance_mm: (x, y) => {
        let off = Infinity;
        for (const line of lines) off = Math.min(off, toLine_mm(line, x, y));
        return Math.min(width_mm / 2 - off, offSkin_mm(frame, x, y, laying.margin_mm));
      },
    };
  },
  path: (frame, region, laying) => {
    const line = smoothLine(drawnPoints(frame, region.points, laying));
    const width_mm = region.width_mm * laying.scale;
    return {
      polygons: stripPolygons(line, width_mm),
      distance_mm: (x, y) =>
        Math.min(width_mm / 2 - toLine_mm(line, x, y), offSkin_mm(frame, x, y, laying.margin_mm)),
    };
  },
  outline: (frame, region, laying) => {
    const polygon = drawnPoints(frame, region.points, laying);
    return {
      polygons: [polygon],
      distance_mm: (x, y) =>
        Math.min(polygonDistance_mm(polygon, x, y), offSkin_mm(frame, x, y, laying.margin_mm)),
    };
  },
};

/** Points drawn by share and landmark, as they lie on this nail; kept at the size they were drawn in where asked. */
function drawnPoints(
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

function unique(point: Point, index: number, all: Point[]): boolean {
  const next = all[(index + 1) % all.length]!;
  return index === all.length - 1 || Math.hypot(next.x - point.x, next.y - point.y) > 1e-6;
}

function clampTo(frame: NailFrame, point: Point): number {
  const half = frame.halfWidth_mm(Math.max(0, Math.min(point.y, frame.length_mm)));
  return Math.max(-half, Math.min(half, point.x));
}

/** Lays a region of a look on one nail. */
export function layRegion(frame: NailFrame, region: Region, laying: Laying = AS_DRAWN): Area {
  const layer = LAYERS[region.kind] as Layer<Kind>;
  return layer(frame, region as never, laying);
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
