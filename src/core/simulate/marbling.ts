import type { Marble } from '../craft/matter';
import type { NailFrame } from '../geometry/frame';
import { noise } from '../geometry/noise';
import { smooth } from '../geometry/smooth';

/** Veins are drawn out so many times as long as they are wide (by the look of it). */
const DRAWN_OUT = 3.2;
/** The lattice over a nail by which each part gets as much of it as was poured. */
const LOOKED_AT = { across: 40, along: 64 };

/** The shares of a marble's parts at a point of a nail, in the order of its parts; they add up to one. */
export function marbleShares(paint: Marble, frame: NailFrame): (x_mm: number, y_mm: number) => number[] {
  const { veinAt, sharesAt } = marbling(paint, frame);
  return (x, y) => sharesAt(veinAt(x, y));
}

/** A marble in two steps: the height of its veins at a point, 0 to 1, and what lies at a height. */
export function marbling(
  paint: Marble,
  frame: NailFrame,
): { veinAt: (x_mm: number, y_mm: number) => number; sharesAt: (height: number) => number[] } {
  const veinAt = veins(paint);
  const total = paint.parts.reduce((sum, { share }) => sum + share, 0);
  const poured = paint.parts.map(({ share }) => share / total);
  const bounds = boundsOf(veinAt, frame, poured);
  // Stirred, one runs into the next over more of the way, and in the end all are one.
  const soft = 0.004 + 0.3 * paint.mixed ** 1.5;
  const stirred = smooth((paint.mixed - 0.6) / 0.4);
  const sharesAt = (value: number) => {
    let before = 0;
    return poured.map((share, i) => {
      const upTo = i < bounds.length ? smooth((bounds[i]! - value) / (2 * soft) + 0.5) : 1;
      const own = Math.max(0, upTo - before);
      before = Math.max(before, upTo);
      return own * (1 - stirred) + share * stirred;
    });
  };
  return { veinAt, sharesAt };
}

/** A smooth height over the nail, whose level lines are the veins: folded by itself, drawn out along the turn. */
function veins({ vein_mm, turn_deg, seed, mirror }: Marble): (x: number, y: number) => number {
  const turn = (turn_deg * Math.PI) / 180;
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  const [u0, v0] = [(seed % 977) * 3.7, (seed % 613) * 5.3];
  const side = mirror ? -1 : 1;
  return (x, y) => {
    // Turned over for the other hand: the same veins, seen in a mirror.
    const sx = side * x;
    const u = (sx * cos + y * sin) / (1.15 * vein_mm) + u0;
    const v = (-sx * sin + y * cos) / (1.15 * vein_mm * DRAWN_OUT) + v0;
    const fold = 2.2 * (noise(u * 0.7 + 31, v * 0.9) - 0.5);
    return 0.66 * noise(u + fold, v + 1.7 * fold) + 0.34 * noise(2.1 * u - fold + 7, 2.1 * v + 3 * fold + 13);
  };
}

/** Heights between the parts, so that each covers as much of this nail as was poured of it. */
function boundsOf(
  veinAt: (x: number, y: number) => number,
  frame: NailFrame,
  poured: readonly number[],
): number[] {
  const { across, along } = LOOKED_AT;
  const seen: number[] = [];
  for (let j = 0; j < along; j += 1) {
    const y = ((j + 0.5) / along) * frame.length_mm;
    const half = frame.halfWidth_mm(y);
    for (let i = 0; i < across; i += 1) {
      const x = ((i + 0.5) / across - 0.5) * frame.arc_mm;
      if (Math.abs(x) < half) seen.push(veinAt(x, y));
    }
  }
  const sorted = Float64Array.from(seen).sort();
  let sum = 0;
  return poured.slice(0, -1).map((share) => {
    sum += share;
    return sorted[Math.min(sorted.length - 1, Math.floor(sum * sorted.length))] ?? 0;
  });
}
