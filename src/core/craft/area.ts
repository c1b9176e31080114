import { disc } from '../geometry/figures';
import { outlineDistance_mm, type NailFrame, type Point } from '../geometry/frame';
import { profileShare, type Profile } from '../geometry/profiles';
import { perFrame } from '../geometry/perFrame';
import { layRegion } from '../regions';
import { stripPolygons, toLine_mm } from '../geometry/lines';
import { leaveFree, type Area, type Laying } from '../geometry/regions';
import type { Region } from '../regions';
import type { Place } from './operation';

const known = perFrame<Area>();

/** The curve of a place on a nail. */
export function areaOf(frame: NailFrame, place: Place): Area {
  return known(frame, JSON.stringify(place), () => laidArea(frame, place));
}

function laidArea(frame: NailFrame, { within = [], ...place }: Place): Area {
  const own = areaAlone(frame, place);
  if (within.length === 0) return own;
  const others = within.map(({ place: other, outside }) => ({
    into_mm: areaOf(frame, other).distance_mm,
    sign: outside ? -1 : 1,
  }));
  return {
    ...own,
    distance_mm: (x, y) =>
      others.reduce(
        (least, { into_mm, sign }) => Math.min(least, sign * into_mm(x, y)),
        own.distance_mm(x, y),
      ),
  };
}

function areaAlone(frame: NailFrame, place: Place): Area {
  const laying: Laying = {
    mirror: place.mirror,
    scale: place.scale,
    margin_mm: place.margin_mm,
    ...(place.keep ? { keep: true } : {}),
  };
  if (place.along_edge) return alongEdge(frame, place.region, place.along_edge, laying);
  if (place.around) {
    const discs = place.around;
    const whole = layRegion(frame, { kind: 'whole' }, laying);
    return {
      ...whole,
      polygons: discs.map((d) => disc(d.x, d.y, d.r_mm)),
      // A bead keeps off the skin like any product.
      distance_mm: (x, y) => {
        const bead = discs.reduce((d, at) => Math.max(d, at.r_mm - Math.hypot(x - at.x, y - at.y)), -1e3);
        return bead < -1 ? bead : Math.min(bead, whole.distance_mm(x, y));
      },
    };
  }
  const area = layRegion(frame, place.region, laying);
  return place.free?.length ? leaveFree(area, place.free, 0) : area;
}

/** How thick a shaped film is at a point of its place, as a share of full. */
export function profileOn(
  frame: NailFrame,
  place: Place,
  profile: Profile,
): (x: number, y: number) => number {
  const share = profileShare(profile, frame);
  const { distance_mm } = areaOf(frame, place);
  return (x, y) => share(x, y, distance_mm(x, y));
}

/** A line of this width along the edge of a part, where that does not run along the nail's own outline. */
function alongEdge(
  frame: NailFrame,
  region: Region,
  { width_mm, off_mm = 0 }: NonNullable<Place['along_edge']>,
  laying: Laying,
): Area {
  const whole = layRegion(frame, { kind: 'whole' }, laying);
  const part = layRegion(frame, region, { ...laying, margin_mm: 0 });
  const lines = part.polygons.flatMap((polygon) =>
    edgesWithin(frame, polygon).map((edge) => (off_mm === 0 ? edge : beside(part, edge, off_mm))),
  );
  return {
    polygons: lines.flatMap((line) => stripPolygons(line, width_mm)),
    distance_mm: (x, y) =>
      Math.min(
        width_mm / 2 - lines.reduce((least, line) => Math.min(least, toLine_mm(line, x, y)), Infinity),
        whole.distance_mm(x, y),
      ),
  };
}

/** A line nearer than this to the nail's outline runs along it. */
const AT_OUTLINE_MM = 0.4;

/** The stretches of a curve that run over the nail, and not along its outline, each to where it meets it. */
function edgesWithin(frame: NailFrame, polygon: readonly Point[]): Point[][] {
  const inside = polygon.map(({ x, y }) => outlineDistance_mm(frame, x, y) > AT_OUTLINE_MM);
  const first = inside.indexOf(false);
  // A curve that lies free of the outline is its own edge, all round.
  if (first < 0) return [[...polygon, polygon[0]!]];
  const edges: Point[][] = [];
  let edge: Point[] | undefined;
  for (let k = 1; k <= polygon.length; k += 1) {
    const i = (first + k) % polygon.length;
    const before = polygon[(first + k - 1) % polygon.length]!;
    if (inside[i]) (edge ??= [before]).push(polygon[i]!);
    else if (edge) {
      edges.push([...edge, polygon[i]!]);
      edge = undefined;
    }
  }
  return edges;
}

/** A line beside an edge, so far off it on the side where the part does not lie. */
function beside(part: Area, edge: readonly Point[], off_mm: number): Point[] {
  const normalAt = (i: number) => {
    const [a, b] = [edge[Math.max(0, i - 1)]!, edge[Math.min(edge.length - 1, i + 1)]!];
    const length = Math.hypot(b.x - a.x, b.y - a.y) || 1;
    return { x: -(b.y - a.y) / length, y: (b.x - a.x) / length };
  };
  // Asked in its middle: at the ends the nail's own outline is as near.
  const middle = Math.floor(edge.length / 2);
  const [at, normal] = [edge[middle]!, normalAt(middle)];
  const out = part.distance_mm(at.x + normal.x * 0.1, at.y + normal.y * 0.1) < 0 ? 1 : -1;
  const line = edge.map((point, i) => {
    const { x, y } = normalAt(i);
    return { x: point.x + out * x * off_mm, y: point.y + out * y * off_mm };
  });
  return [drawnOn(line[1]!, line[0]!, off_mm), ...line, drawnOn(line.at(-2)!, line.at(-1)!, off_mm)];
}

/** From one point past another: beside a curve the walls are met further on. */
function drawnOn(from: Point, to: Point, by_mm: number): Point {
  const length = Math.hypot(to.x - from.x, to.y - from.y) || 1;
  return { x: to.x + ((to.x - from.x) / length) * by_mm, y: to.y + ((to.y - from.y) / length) * by_mm };
}
