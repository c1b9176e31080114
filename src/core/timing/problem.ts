import type { Hand } from '../model/names';

/**
 * The sitting as a problem: chains of tasks, one a nail, done by one artist with some lamps. A task is hand
 * work (`hand_s` > 0, maybe with a wait after it) or light.
 */
export interface Task {
  operation: string;
  hand_s: number;
  /** Work of the same class needs no change of brush or product. */
  class: string;
  /** Smaller ranks are done first where nothing else decides: the order of the craft across nails. */
  rank: number;
  /** Raises dust: wants no wet or tacky nail on the same hand. */
  dusty: boolean;
  light?: { mode: 'cure' | 'flash'; seconds: number };
  wait_s: number;
  /** Longest time from the end of this work to the start of its light; undefined: no limit. */
  open_s?: number;
  /** What the nail is like afterwards. */
  wet: boolean;
  tacky: boolean;
}

export interface Chain {
  nail: string;
  hand: Hand;
  thumb: boolean;
  tasks: Task[];
}

export interface Problem {
  chains: Chain[];
  /** Programmes of each lamp; an empty list means any time. */
  lamps: { id: string; programmes_s: number[] }[];
  thumbs: 'apart' | 'with-fingers';
  wearer: 'client' | 'own';
  /** Factor on the work that the weaker hand does on one's own nails. */
  slower: Record<Hand, number>;
  changeover_s: number;
  /** Operations that must be done before others, across chains; together with the chains they make no circle. */
  precedences?: readonly { first: string; then: string }[];
}

export interface Stroke {
  operation: string;
  nail: string;
  hand: Hand;
  start_s: number;
  end_s: number;
  changeover_s: number;
}

export interface Load {
  lamp: string;
  hand: Hand;
  /** Every nail in the lamp, also those only along for the light. */
  nails: string[];
  /** The operations this load serves. */
  operations: string[];
  mode: 'cure' | 'flash';
  start_s: number;
  end_s: number;
}

/** What the schedule could not keep. */
export interface Broken {
  operation: string;
  kind: 'dust-beside-wet' | 'open-too-long';
  seconds: number;
}

export interface Schedule {
  strokes: Stroke[];
  loads: Load[];
  broken: Broken[];
  total_s: number;
}

/** Time a lamp runs for a demand: its shortest programme that is long enough, or several of the longest. */
export function programme_s(programmes: readonly number[], seconds: number): number {
  if (programmes.length === 0) return seconds;
  const longest = Math.max(...programmes);
  const whole = Math.max(0, Math.ceil(seconds / longest) - 1) * longest;
  return whole + Math.min(...programmes.filter((p) => p >= seconds - whole - 1e-9));
}
