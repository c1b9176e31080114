import { beadShare } from './bead';
import { wayShare, type NailFrame } from './frame';
import { smooth } from './smooth';

/** How thick a film is from place to place, as a share of what it is laid at. An even film has none. */
export type Profile =
  /** Full at `from`, thinned out to nothing at `to`: shares of the way along (cuticle to tip) or across. */
  | { kind: 'thinned'; direction: 'along' | 'across'; from: number; to: number; mirror: boolean }
  /** Full along the middle of its line, nothing at its edges. */
  | { kind: 'ridge'; half_mm: number }
  /** A drop: a cap of a sphere over its round. */
  | { kind: 'drop'; half_mm: number }
  /** A bead over the whole place: full at the apex of the nail, rounded down to the edge of its place. */
  | { kind: 'bead' };

/** Whether it runs out to nothing at the edge of its place by itself. */
export function isSelfEdged({ kind }: Profile): boolean {
  return kind !== 'thinned';
}

/** Thick liquid rounds down to the line it is drawn to over about this width (common practice). */
const ROUNDED_MM = 0.8;

type Share = (x_mm: number, y_mm: number, into_mm: number) => number;

const SHARES: {
  [K in Profile['kind']]: (profile: Extract<Profile, { kind: K }>, frame: NailFrame) => Share;
} = {
  thinned: ({ direction, from, to, mirror }, frame) => {
    const span = to - from || 1e-6;
    const way = wayShare(frame, direction, mirror ? -1 : 1);
    return (x, y) => 1 - smooth((way(x, y) - from) / span);
  },
  // A parabola across: what a liquid line does between its two edges.
  ridge:
    ({ half_mm }) =>
    (_x, _y, into) => {
      if (into <= 0) return 0;
      const off = 1 - Math.min(1, into / half_mm);
      return 1 - off * off;
    },
  bead: (_profile, frame) => (x, y, into) => {
    const off = 1 - Math.max(0, Math.min(1, into / ROUNDED_MM));
    return beadShare(frame, x, y) * (1 - off * off);
  },
  drop:
    ({ half_mm }) =>
    (_x, _y, into) => {
      if (into <= 0) return 0;
      const off = 1 - Math.min(1, into / half_mm);
      return Math.sqrt(Math.max(0, 1 - off * off));
    },
};

/** The share at a point that lies `into_mm` inside the edge of the film's place, 0 to 1. */
export function profileShare(profile: Profile, frame: NailFrame): Share {
  return (SHARES[profile.kind] as (profile: Profile, frame: NailFrame) => Share)(profile, frame);
}
