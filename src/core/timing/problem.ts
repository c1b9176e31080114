import type { Precedence } from '../compile/acrossNails';
import { leastOf, mostOf } from '../model/extent';
import type { Hand } from '../model/names';

/**
 * The sitting as a problem: chains of tasks, one a nail, done by one artist with some lamps. A task is hand
 * work (`hand_s` > 0, maybe with a wait after it) or light.
 */
export interface Task {
  operation: string;
  hand_s: number;
  /** How much of it no hand hastens or slows: a hold until something has set or gathered. */
  fixed_s?: number;
  /** How far the artist's own times reach, as shares of `hand_s`, where they are known. */
  own?: { quick: number; slow: number };
  /** Work of the same class needs no change of brush or product. */
  class: string;
  /** Strokes of the same work on a hand are one round; where it is not told, those of one class are. */
  work?: string;
  /** Smaller ranks are done first where nothing else decides: the order of the craft across nails. */
  rank: number;
  /** Raises dust: wants no wet or tacky nail on the same hand. */
  dusty: boolean;
  light?: { mode: 'cure' | 'flash'; seconds: number };
  wait_s: number;
  /** How long the film just laid may wait for its light: past `guide_s` it gathers lint, past `most_s` it runs. */
  open?: { guide_s: number; most_s: number };
  /** Worked into what is wet already, which does not creep meanwhile: its wait begins anew. */
  renews?: true;
  /**
   * What must follow within the same two limits, to its start: on a plate dehydrated or primed by this the next
   * primer or wet work, on beads that set the very next work, their pinch.
   */
  due?: { guide_s: number; most_s: number; to: 'wet' | 'next'; kind: Broken['kind'] };
  /** What the nail is like afterwards. */
  wet: boolean;
  tacky: boolean;
  /** Nothing that its hand may do work with: wet, only flashed, or with a form or mould on it. */
  unfit?: boolean;
  /** What keeps its hand from working is over with this wait: lacquer dries, acrylic sets. */
  settles?: boolean;
  /** A form or mould is on the nail. */
  form?: boolean;
  /** Dust lies on the nail, and so on its hand, until a later task has cleaned it. */
  dust?: boolean;
  /** Soft and still to be worked on: no light may reach it before its own. */
  soft?: boolean;
  /** The sticky layer may be wiped off here: what comes next holds on a wiped film as well. */
  wipeable?: boolean;
  /** One piece of work with the task before it on this nail; nothing else happens between. */
  held?: boolean;
  /**
   * Tasks of several nails with the same mark are done together, one after the other without anything between,
   * and not while one of their hands is in the lamp.
   */
  together?: string;
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
  lamps: { id: string; programmes_s: number[]; torch?: boolean }[];
  /** The thumbs' light: each alone, both in one load, or with the fingers of their hand. */
  thumbs: 'apart' | 'together' | 'with-fingers';
  wearer: 'client' | 'own';
  /** Factor on the work that the weaker hand does on one's own nails. */
  slower: Record<Hand, number>;
  changeover_s: number;
  /** Wiping one sticky nail so that another of its hand can be filed; undefined: never done. */
  wipe?: { class: string; seconds: number };
  /** Operations that must be done before others, across chains; together with the chains they make no circle. */
  precedences?: readonly Precedence[];
  /** A sitting under way: what is done of it stands, and the rest is planned from that moment on. */
  begun?: Begun;
}

/** What was really done of a sitting, in seconds from its start; a load may end after `now_s`: its lamp is on. */
export interface Begun {
  now_s: number;
  strokes: Stroke[];
  loads: Load[];
  wipes: HandWipe[];
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
  /** The artist holds the nail in the light: part of one piece of work, on that nail alone. */
  held?: boolean;
}

/** A wipe that no nail asked for: it lets another nail of the hand be filed. */
export interface HandWipe extends Stroke {
  /** The operation it follows on its nail. */
  after: string;
}

/** Wipes of one nail are counted in the order they are done. */
export function handWipeId(nail: string, count: number): string {
  return `${nail}/prep/wipe-hand#${count}`;
}

/** What the schedule could not keep. */
export interface Broken {
  operation: string;
  kind:
    | 'dust-beside-wet'
    | 'open-too-long'
    | 'primed-too-long'
    | 'pinched-too-late'
    | 'gone-dull'
    | 'soaked-too-long'
    | 'cooled'
    | 'spill-left'
    | 'hand-at-work'
    | 'forms-on-both';
  seconds: number;
}

export interface Schedule {
  strokes: Stroke[];
  loads: Load[];
  wipes: HandWipe[];
  broken: Broken[];
  /** Operations that found no place: a fault of the program, told as such. */
  missing: string[];
  total_s: number;
}

/** Seconds that a task keeps the artist's hands busy on a nail of this chain. */
export function handSeconds(problem: Problem, chain: Chain, { hand_s, fixed_s = 0 }: Task): number {
  return (hand_s - fixed_s) * problem.slower[chain.hand] + fixed_s;
}

/** What goes into a lamp together, by name: a hand, its fingers or thumb alone, or both thumbs. */
export function lampGroup(chain: Chain, thumbs: Problem['thumbs']): string {
  if (!chain.thumb || thumbs === 'with-fingers') return chain.hand;
  return thumbs === 'together' ? 'thumbs' : `${chain.hand} thumb`;
}

/** A flash is ended by hand where the lamp's shortest programme is longer than so many times it (common practice). */
const TAKEN_OUT_AFTER = 2;

/** Time in the lamp for a light: its programme, or for a flash that none is short enough for, until the hand is taken out. */
export function inLamp_s(
  programmes: readonly number[],
  { mode, seconds }: NonNullable<Task['light']>,
): number {
  const whole_s = programme_s(programmes, seconds);
  return mode === 'flash' && whole_s > TAKEN_OUT_AFTER * seconds ? seconds : whole_s;
}

/** Time a lamp runs for a demand: its shortest programme that is long enough, or several of the longest. */
export function programme_s(programmes: readonly number[], seconds: number): number {
  if (programmes.length === 0) return seconds;
  const longest = mostOf(programmes);
  const whole = Math.max(0, Math.ceil(seconds / longest) - 1) * longest;
  return whole + leastOf(programmes.filter((p) => p >= seconds - whole - 1e-9));
}
