import { disc } from '../geometry/figures';
import type { NailFrame } from '../geometry/frame';
import { profileShare, type Profile } from '../geometry/profiles';
import { perFrame } from '../geometry/perFrame';
import { layRegion } from '../regions';
import { leaveFree, smileLine, type Area, type Laying } from '../geometry/regions';
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
  if (place.along_smile_mm !== undefined && place.region.kind === 'tip') {
    return alongSmile(frame, place.region.smile, place.along_smile_mm, laying);
  }
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

function alongSmile(
  frame: NailFrame,
  smile: Extract<Region, { kind: 'tip' }>['smile'],
  width_mm: number,
  laying: Laying,
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
