import type { Saved, SittingState } from './sittingState';

/** A sitting as the search holds it: all activities in some order, and where hands go into the lamp early or late. */
export interface Sequence {
  order: Int32Array;
  /** By activity: before it, whatever waits for light on its hand goes in. */
  close: Uint8Array;
  /** By activity: the hand left for it stays out of the lamp. */
  keep: Uint8Array;
  /** What must come first is fetched with what can be done of its round, not by itself. */
  whole: boolean;
}

/** Places of a sequence from one saved state to the next. */
const STRIDE = 18;

interface Stand {
  state: Saved;
  /** Places of the sequence below this were read until then. */
  read: number;
}

/**
 * Saved states along a sequence that was played: another, which is the same up to some place, is played from there on
 * alone. What is played is exactly what would be without it.
 */
export class Trail {
  private readonly base: (Stand | undefined)[] = [];
  private readonly fresh: (Stand | undefined)[] = [];
  private known: Sequence | undefined;
  /** Stands up to here are those of the known sequence, in what is being played as well. */
  private shared = 0;
  private saved = 0;
  private played: Sequence | undefined;
  /** How far the sequence was read, wherever that was ahead of what was done. */
  private read = 0;

  constructor(private readonly state: SittingState) {}

  /** Takes the state to the last stand that the sequence has in common with the known one; the place to play on from. */
  begin(sequence: Sequence): number {
    this.played = sequence;
    this.read = 0;
    let k = this.common(sequence);
    this.shared = this.saved = k;
    if (k === 0) return 0;
    k -= 1;
    const { state, read } = this.base[k]!;
    this.state.restore(state);
    this.read = read;
    return (k + 1) * STRIDE;
  }

  /** How many stands hold for a sequence as well. */
  private common({ order, close, keep, whole }: Sequence): number {
    const { known, base } = this;
    if (!known || known.whole !== whole) return 0;
    let same = 0;
    while (same < order.length && order[same] === known.order[same]) same += 1;
    let k = Math.min(base.length, Math.floor(same / STRIDE));
    while (k > 0 && base[k - 1]!.read > same) k -= 1;
    for (let a = 0; a < close.length && k > 0; a += 1) {
      if (close[a] === known.close[a] && keep[a] === known.keep[a]) continue;
      while (k > 0 && this.state.wasTried(base[k - 1]!.state, a)) k -= 1;
    }
    return k;
  }

  /** Before what stands at a place is done. */
  pass(place: number): void {
    if (place === 0 || place % STRIDE > 0 || place / STRIDE <= this.saved) return;
    const k = place / STRIDE - 1;
    const over = this.fresh[k];
    const state = this.state.save(over?.state);
    this.fresh[k] = { state, read: this.read };
    this.saved = k + 1;
  }

  /** A run of the sequence was looked at, which ends before `to` with what stands there. */
  reads(to: number): void {
    if (to + 1 > this.read) this.read = to + 1;
  }

  /** What was just played to its end is what is known from now on. */
  keep(): void {
    const { played, base, fresh } = this;
    if (!played) return;
    for (let k = this.shared; k < this.saved; k += 1) [base[k], fresh[k]] = [fresh[k], base[k]];
    base.length = this.saved;
    this.shared = this.saved;
    if (!this.known) this.known = copyOf(played);
    else assign(this.known, played);
  }
}

/** A sequence of its own with the same content. */
export function copyOf({ order, close, keep, whole }: Sequence): Sequence {
  return { order: order.slice(), close: close.slice(), keep: keep.slice(), whole };
}

export function assign(to: Sequence, from: Sequence): void {
  to.order.set(from.order);
  to.close.set(from.close);
  to.keep.set(from.keep);
  to.whole = from.whole;
}
