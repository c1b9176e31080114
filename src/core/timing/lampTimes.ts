import type { Board } from './board';
import { Memory } from './memory';

/** When each lamp is taken, and where there is room: the times of a sitting that is being played. */
export class LampTimes {
  /** By lamp, sorted and flat: start, end, … */
  private readonly busy: Float64Array[];
  private readonly count: Int32Array;
  /** When the light last looked for may begin. */
  start_s = 0;

  /** `run_s`: seconds each lamp runs, by lamp and step. */
  constructor(
    /** Seconds each lamp runs, by lamp and step. */
    private readonly run_s: Board['run_s'],
    /** The lamp that is held to one nail by hand, or −1. */
    private readonly torch = -1,
    memory = new Memory(LampTimes.numbers(run_s), run_s.length + 1),
  ) {
    this.busy = run_s.map((steps) => memory.floats(mostOf(steps)));
    this.count = memory.integers(run_s.length);
  }

  /** How many numbers they are kept in. */
  static numbers(run_s: Board['run_s']): number {
    return run_s.reduce((sum, steps) => sum + mostOf(steps), run_s.length);
  }

  /** The shortest that any lamp is on for a step. */
  least_s(step: number): number {
    let least = Infinity;
    for (const lamp of this.run_s) if (lamp[step]! < least) least = lamp[step]!;
    return least;
  }

  /** The first moment from `t` on at which any lamp is free. */
  freeFrom(t: number): number {
    let best = Infinity;
    for (let l = 0; l < this.busy.length; l += 1) {
      const gap = this.gap(l, t, 1);
      if (gap < best) best = gap;
    }
    return best;
  }

  /**
   * The lamp in which a step's light ends first if it begins at `t` or later; `start_s` says when it begins. What is
   * held to one nail `byHand` is lit by the torch where that can do it, and nothing else is.
   */
  find(step: number, t: number, byHand = false): number {
    const { run_s, torch } = this;
    if (byHand && torch >= 0 && run_s[torch]![step]! < Infinity) {
      this.start_s = this.gap(torch, t, run_s[torch]![step]!);
      return torch;
    }
    let best = 0;
    let bestEnd = Infinity;
    let bestStart = t;
    for (let l = 0; l < run_s.length; l += 1) {
      if (l === torch) continue;
      const run = run_s[l]![step]!;
      const start = this.gap(l, t, run);
      if (start + run < bestEnd) {
        bestEnd = start + run;
        best = l;
        bestStart = start;
      }
    }
    this.start_s = bestStart;
    return best;
  }

  private gap(lamp: number, t: number, run: number): number {
    const busy = this.busy[lamp]!;
    let i = this.count[lamp]!;
    if (i === 0 || busy[2 * i - 1]! <= t) return t;
    while (i > 0 && busy[2 * i - 1]! > t) i -= 1;
    let start = t;
    for (; i < this.count[lamp]!; i += 1) {
      if (busy[2 * i]! >= start + run) return start;
      if (busy[2 * i + 1]! > start) start = busy[2 * i + 1]!;
    }
    return start;
  }

  occupy(lamp: number, start: number, end: number): void {
    const busy = this.busy[lamp]!;
    let i = this.count[lamp]!;
    this.count[lamp] = i + 1;
    while (i > 0 && busy[2 * i - 2]! > start) {
      busy[2 * i] = busy[2 * i - 2]!;
      busy[2 * i + 1] = busy[2 * i - 1]!;
      i -= 1;
    }
    busy[2 * i] = start;
    busy[2 * i + 1] = end;
  }
}

/** A step is lit once; some more for what a lamp was lit for before. */
function mostOf(steps: Float64Array): number {
  return 2 * steps.length + 32;
}
