import type { Activity, Board, Part } from './board';
import type { Begun, Broken, Schedule } from './problem';
import { SittingRecord } from './record';
import { SittingState, type Tally } from './sittingState';
import { Trail, type Sequence } from './trail';

/** A sticky nail lies open this long without a thought (common practice). */
const STICKY_S = 900;
/** What settles in a sticky layer is wiped or covered; in a wet film it sinks (common practice). */
const STICKY_SHARE = 0.25;
const EPSILON = 1e-6;
const DEEP = 60;
/** Tries for each activity; a sitting that wants more hangs together too closely for foresight. */
const TRIES = 30;

/**
 * Plays sequences on a board. Any order can be played: what an activity needs first is done first, a hand that
 * is left goes into the lamp, a film that would wait too long is lit before more is begun, and sticky nails are
 * wiped before a file where that can be. Everything starts as early as it can.
 */
export class Player extends SittingState {
  private readonly busy: Uint8Array;
  private depth = 0;
  private forced = false;
  /** Nothing is foreseen any more: what can be done is done as it comes. */
  private plain = false;
  private keep: Uint8Array = new Uint8Array(0);
  private close: Uint8Array = new Uint8Array(0);
  private readonly lit: Uint8Array;
  /** Where what is played is written down as well. */
  private record: SittingRecord | undefined;
  private readonly own: boolean;
  private readonly handChains: Int32Array[];

  private order: Int32Array = new Int32Array(0);
  private readonly runFrom: Int32Array;
  private readonly runTo: Int32Array;
  private readonly placeOf: Int32Array;

  private whole = false;
  /** Hand work of each activity, and of all. */
  private readonly hands_s: Float64Array;
  private readonly all_s: number;
  private readonly trail = new Trail(this);
  private isTooMuch: ((tally: Tally, least_s: number) => boolean) | undefined;
  private isOver = false;

  constructor(board: Board) {
    super(board);
    const activities = board.activities.length;
    this.hands_s = Float64Array.from(board.activities, ({ parts }) =>
      parts.reduce((sum, part) => sum + handsOf_s(board, part), 0),
    );
    this.all_s = this.hands_s.reduce((sum, one) => sum + one, 0);
    this.runFrom = new Int32Array(activities);
    this.runTo = new Int32Array(activities);
    this.placeOf = new Int32Array(activities);
    this.busy = new Uint8Array(activities);
    this.inLoad = new Int32Array(board.problem.chains.length);
    this.lit = new Uint8Array(board.mode.length);
    this.own = board.problem.wearer === 'own';
    this.handChains = [0, 1].map((h) =>
      Int32Array.from([...board.hand].flatMap((hand, c) => (hand === h ? [c] : []))),
    );
  }

  /** What the last sequence took to play, in tries an activity: 1 where each was done when its turn came. */
  get effort(): number {
    return this.tries / Math.max(1, this.busy.length);
  }

  /** Writes down all activities in the order they were really begun; nothing where one of them found no place. */
  writeInto(order: Int32Array): void {
    if (this.doneCount === this.done.length) order.set(this.done);
  }

  /**
   * Plays a sequence to its end; the tally says what it comes to. `isTooMuch` is asked on the way, with the tally so far and
   * the least seconds that it can still come to: once it says so the rest is not played, and the time told is Infinity.
   */
  play(sequence: Sequence, isTooMuch?: (tally: Tally, least_s: number) => boolean): Tally {
    this.isTooMuch = isTooMuch;
    this.keep = sequence.keep;
    this.close = sequence.close;
    const { order } = sequence;
    this.whole = sequence.whole;
    if (this.whole) this.layRuns(order);
    for (let i = this.beginning(sequence); i < order.length && !this.isOver; i += 1) {
      if (!this.record) this.trail.pass(i);
      if (!this.isDone[order[i]!]) this.perform(order[i]!);
    }
    if (this.isOver) {
      this.tally.total_s = Infinity;
      return this.tally;
    }
    this.lightAll();
    this.finishPlainly();
    let end = this.tally.total_s;
    for (let c = 0; c < this.ready.length; c += 1) if (this.ready[c]! > end) end = this.ready[c]!;
    this.tally.total_s = end;
    return this.tally;
  }

  /** What was just played to its end is what others will differ little from: they are played from where they part. */
  goOnFrom(): void {
    this.trail.keep();
  }

  /** The same as a schedule to work from. */
  schedule(sequence: Sequence): Schedule {
    const record = new SittingRecord(this.board);
    this.record = record;
    this.play(sequence);
    this.record = undefined;
    return record.schedule(this.tally.total_s);
  }

  /** Takes everything to where playing begins; its place in the sequence. */
  private beginning(sequence: Sequence): number {
    this.busy.fill(0);
    this.lit.fill(0);
    this.depth = 0;
    this.isOver = this.forced = false;
    const at = this.record ? 0 : this.trail.begin(sequence);
    if (at === 0) {
      this.clear(this.all_s);
      if (this.board.problem.begun) this.resume(this.board.problem.begun);
    }
    this.plain = this.isTangled();
    return at;
  }

  private isTangled(): boolean {
    return this.tries > TRIES * this.busy.length;
  }

  /** Takes nails, hands and lamps to where a sitting under way has left them. */
  private resume({ now_s, strokes, loads, wipes }: Begun): void {
    const { board } = this;
    const { chains, lamps } = board.problem;
    for (let c = 0; c < this.pos.length; c += 1)
      for (let s = board.from[c]!; s < board.begins[c]!; s += 1) {
        const light = board.mode[s]! > 0;
        if (light) this.openGuide[c] = this.openMost[c] = Infinity;
        else this.dueIsMet(c, s);
        this.goOn(c, s + 1, board.doneAt[s]!);
      }
    for (const { nail, end_s } of wipes) {
      const c = chains.findIndex((one) => one.nail === nail);
      // What was laid since is sticky of its own.
      if (c >= 0 && board.begins[c]! > board.from[c]! && end_s >= board.doneAt[board.begins[c]! - 1]!)
        this.tacky[c] = 0;
    }
    this.artist = this.tally.total_s = now_s;
    for (const load of loads) {
      if (load.end_s <= now_s) continue;
      const lamp = lamps.findIndex(({ id }) => id === load.lamp);
      if (lamp >= 0) this.lamps.occupy(lamp, load.start_s, load.end_s);
      for (const nail of load.nails) {
        const h = board.hand[chains.findIndex((one) => one.nail === nail)];
        if (h !== undefined) this.handIn[h] = Math.max(this.handIn[h]!, load.end_s);
      }
    }
    this.handWorked.fill(now_s);
    const last = strokes.at(-1);
    if (last) this.lastHand = last.hand === 'left' ? 0 : 1;
  }

  /** What is due on a nail is followed by this step, in time or late. */
  private dueIsMet(c: number, step: number): boolean {
    const { board } = this;
    const followed = board.wet[step] || board.dueMost_s[step]! < Infinity;
    if (!(this.dueGuide[c]! < Infinity) || !(board.dueNext[this.dueOf[c]!] || followed)) return false;
    this.dueGuide[c] = this.dueMost[c] = Infinity;
    return true;
  }

  /** Wet, and no wait alone ends that. */
  private staysWet(chain: number): boolean {
    return this.wet[chain] === 1 && this.settledAt[chain] === 0;
  }

  private ended(chain: number): boolean {
    return this.pos[chain]! >= this.board.from[chain + 1]!;
  }

  private waits(chain: number): boolean {
    return !this.ended(chain) && this.board.mode[this.pos[chain]!]! > 0;
  }

  /** Does an activity, and before it all that it needs. */
  private perform(a: number): void {
    if (this.isDone[a] || this.busy[a]) return;
    const activity = this.board.activities[a]!;
    this.tries += 1;
    this.isTried[a] = 1;
    if (this.isTangled()) this.plain = true;
    if (this.plain) {
      if (this.begins(activity) && this.met(activity.needs)) this.work(a, activity);
      return;
    }
    this.busy[a] = 1;
    this.depth += 1;
    for (const part of activity.parts) this.bringTo(part.chain, part.step);
    this.meet(activity.needs);
    if (this.depth < DEEP) this.makeRoom(a, activity);
    // Making room may have been all it took.
    const able = !this.isDone[a] && (this.forced || this.met(activity.needs));
    if (able && this.begins(activity)) this.work(a, activity);
    this.depth -= 1;
    this.busy[a] = 0;
  }

  /** Whether all its nails have come to it. */
  private begins(activity: Activity): boolean {
    for (const part of activity.parts) if (this.pos[part.chain] !== part.step) return false;
    return true;
  }

  /**
   * Whatever foresight has left undone, done as it comes: joint work whose nails have come to it, light for who waits.
   * What belongs together makes no circle, so that something always can be.
   */
  private finishPlainly(): void {
    this.plain = true;
    for (let moved = true; moved;) {
      moved = false;
      for (let c = 0; c < this.pos.length; c += 1) {
        if (this.ended(c)) continue;
        const before = this.pos[c]!;
        if (!this.waits(c)) this.perform(this.board.act[before]!);
        else if (this.mayLight(before)) this.load(Int32Array.of(c), this.board.group[c]!);
        if (this.pos[c] !== before) moved = true;
      }
    }
  }

  /** Takes a nail on to a step of its own. */
  private bringTo(chain: number, step: number): void {
    let before = -1;
    while (this.pos[chain]! < step && this.pos[chain] !== before) {
      before = this.pos[chain]!;
      this.advance(chain);
    }
  }

  private advance(chain: number): void {
    if (this.waits(chain)) this.light(this.board.group[chain]!, chain);
    else if (!this.ended(chain)) this.fetch(this.board.act[this.pos[chain]!]!);
  }

  /** Does what comes first, and then what of the round that it stands in can be done as well. */
  private fetch(a: number): void {
    this.perform(a);
    if (!this.whole) return;
    const { order, runFrom, runTo } = this;
    const { activities } = this.board;
    const at = this.placeOf[a]!;
    this.trail.reads(runTo[at]!);
    for (let i = runFrom[at]!; i < runTo[at]!; i += 1) {
      const other = activities[order[i]!]!;
      if (this.begins(other) && this.met(other.needs)) this.perform(order[i]!);
    }
  }

  /** Where runs of the same work on a hand begin and end in a sequence. */
  private layRuns(order: Int32Array): void {
    const { activities } = this.board;
    this.order = order;
    for (let from = 0, to = 1; from < order.length; from = to, to += 1) {
      const { work, hand } = activities[order[from]!]!;
      while (
        to < order.length &&
        activities[order[to]!]!.work === work &&
        activities[order[to]!]!.hand === hand
      )
        to += 1;
      for (let i = from; i < to; i += 1) {
        this.runFrom[i] = from;
        this.runTo[i] = to;
        this.placeOf[order[i]!] = i;
      }
    }
  }

  /** Does what is wanted done before, as far as it can be done now. */
  private meet(needs: readonly number[]): void {
    for (const step of needs) this.bringTo(this.board.chainOf[step]!, step + 1);
  }

  private met(needs: readonly number[]): boolean {
    for (const step of needs) if (this.pos[this.board.chainOf[step]!]! <= step) return false;
    return true;
  }

  /** When the last of them ended. */
  private metAt(needs: readonly number[]): number {
    let end = 0;
    for (const step of needs) if (this.endOf[step]! > end) end = this.endOf[step]!;
    return end;
  }

  private makeRoom(a: number, activity: Activity): void {
    const { hand } = activity;
    if (this.own && hand < 2) this.dryHand(1 - hand);
    if (activity.forms && hand < 2) this.clearOfForms(1 - hand);
    // Thumbs that share a load wait for each other, unless they are not to.
    if (this.lastHand >= 0 && hand !== this.lastHand && !this.keep[a])
      this.closeHand(this.lastHand, !this.close[a]);
    if (this.close[a]) this.closeHand(hand, false);
    if (activity.dusty)
      for (let h = 0; h < 2; h += 1) if (hand === 2 || hand === h) this.clearForDust(h, activity);
    if (activity.lays)
      for (let h = 0; h < 2; h += 1) if (hand === 2 || hand === h) this.clearOfDust(h, activity);
    this.lightInTime(activity);
    this.doInTime(activity);
  }

  private takesPart(activity: Activity, chain: number): boolean {
    for (const part of activity.parts) if (part.chain === chain) return true;
    return false;
  }

  /** Puts what waits on a hand into the lamp; a load shared with the other hand's thumb may be left for later. */
  private closeHand(hand: number, sharedLater: boolean): void {
    const { groups } = this.board;
    for (let g = 0; g < groups.length; g += 1) {
      const chains = groups[g]!;
      let own = false;
      let other = false;
      let waiting = false;
      for (let i = 0; i < chains.length; i += 1) {
        const c = chains[i]!;
        if (hand < 2 && this.board.hand[c] !== hand) other = true;
        else {
          own = true;
          if (this.waits(c)) waiting = true;
        }
      }
      if (own && waiting && !(other && sharedLater)) this.light(g, -1);
    }
  }

  private dryHand(hand: number): void {
    const chains = this.handChains[hand]!;
    for (let i = 0; i < chains.length; i += 1) {
      const c = chains[i]!;
      // Lacquer that dries is waited for, and nothing else helps it.
      if (this.settledAt[c] === 0) this.finishWet(c);
    }
  }

  /** Forms stand on one hand at a time. */
  private clearOfForms(hand: number): void {
    const chains = this.handChains[hand]!;
    for (let i = 0; i < chains.length; i += 1) this.goOnWhile(chains[i]!, this.form);
  }

  /** Works on a nail until nothing on it is wet or soft, and on one's own hand nothing that keeps it from working. */
  private finishWet(chain: number): void {
    this.goOnWhile(chain, this.wet, this.soft);
    if (this.own) this.goOnWhile(chain, this.unfit);
  }

  private goOnWhile(chain: number, state: Uint8Array, other = state): void {
    let before = -1;
    while ((state[chain] || other[chain]) && this.pos[chain] !== before && !this.ended(chain)) {
      before = this.pos[chain]!;
      this.advance(chain);
    }
  }

  /** A primed nail is covered before a file is taken up beside it. */
  private coverPrimed(chain: number): void {
    let before = -1;
    while (
      this.dueMost[chain]! < Infinity &&
      !this.board.dueNext[this.dueOf[chain]!] &&
      this.pos[chain] !== before &&
      !this.ended(chain)
    ) {
      before = this.pos[chain]!;
      this.advance(chain);
    }
  }

  /** Nothing wet or sticky beside a file. */
  private clearForDust(hand: number, activity: Activity): void {
    const { board } = this;
    const chains = this.handChains[hand]!;
    for (let i = 0; i < chains.length; i += 1)
      if (!this.takesPart(activity, chains[i]!)) this.coverPrimed(chains[i]!);
    for (let i = 0; i < chains.length; i += 1)
      // What sets by itself is waited for, and nothing else helps it.
      if (this.settledAt[chains[i]!] === 0) this.finishWet(chains[i]!);
    for (let i = 0; i < chains.length; i += 1) {
      const c = chains[i]!;
      if (!this.tacky[c] || this.takesPart(activity, c)) continue;
      const step = this.pos[c]!;
      if (!this.ended(c) && board.mode[step] === 0) {
        const next = board.act[step]!;
        const last = step + board.activities[next]!.parts[0]!.steps - 1;
        if (
          board.activities[next]!.parts.length === 1 &&
          !board.tacky[last] &&
          !board.wet[last] &&
          !board.activities[next]!.dusty
        ) {
          this.perform(next);
          if (!this.tacky[c]) continue;
        }
      }
      this.takeToWipe(c);
      const at = this.pos[c]!;
      if (!this.tacky[c] || this.staysWet(c) || at === board.from[c]) continue;
      if (board.problem.wipe && board.wipeable[at - 1]) this.wipe(c);
    }
  }

  /** Works on a nail that cannot be wiped as it is, on flashed pieces or a fine ground, until it can. */
  private takeToWipe(c: number): void {
    const { board } = this;
    let before = -1;
    while (
      this.tacky[c] &&
      !this.ended(c) &&
      this.pos[c]! > board.from[c]! &&
      !board.wipeable[this.pos[c]! - 1] &&
      this.pos[c] !== before
    ) {
      before = this.pos[c]!;
      if (!this.waits(c) && board.activities[board.act[before]!]!.dusty) return;
      this.advance(c);
      this.finishWet(c);
    }
  }

  private wipe(chain: number): void {
    const { problem, hand, wipeClass } = this.board;
    const h = hand[chain]!;
    const changes = this.lastClass >= 0 && this.lastClass !== wipeClass;
    let start = this.artist + (changes ? problem.changeover_s : 0);
    if (this.handIn[h]! > start) start = this.handIn[h]!;
    if (this.own && this.handIn[1 - h]! > start) start = this.handIn[1 - h]!;
    if (this.ready[chain]! > start) start = this.ready[chain]!;
    if (changes) this.tally.classChanges += 1;
    this.goesOnWith(this.board.works - 1, h);
    this.turnTo(h, 1);
    const end = start + problem.wipe!.seconds;
    this.lastClass = wipeClass;
    this.artist = end;
    this.handWorked[h] = end;
    this.tacky[chain] = 0;
    if (end > this.tally.total_s) this.tally.total_s = end;
    this.record?.changes(changes);
    this.record?.wipe(this.pos[chain]! - 1, start, end);
  }

  /** Nothing wet is laid beside a nail that still has dust on it. */
  private clearOfDust(hand: number, activity: Activity): void {
    const chains = this.handChains[hand]!;
    for (let i = 0; i < chains.length; i += 1) {
      const c = chains[i]!;
      if (!this.dusty[c] || this.takesPart(activity, c)) continue;
      let before = -1;
      while (this.dusty[c] && this.pos[c] !== before && !this.ended(c) && !this.waits(c)) {
        before = this.pos[c]!;
        const next = this.board.activities[this.board.act[before]!]!;
        if (next.lays) break;
        this.perform(this.board.act[before]!);
      }
    }
  }

  /** How long an activity takes at the least. */
  private seconds(activity: Activity): number {
    let sum = 0;
    for (const part of activity.parts) {
      sum += part.hand_s + part.rest_s;
      if (part.heldLight >= 0) sum += this.lamps.least_s(part.heldLight);
    }
    return sum;
  }

  /** What is due on other nails, and would come too late after this, is done before it. */
  private doInTime(activity: Activity): void {
    for (let c = 0; c < this.pos.length; c += 1) {
      if (!(this.dueMost[c]! < Infinity) || this.ended(c) || this.takesPart(activity, c)) continue;
      const end = Math.max(this.artist, this.ready[activity.parts[0]!.chain]!) + this.seconds(activity);
      if (end <= (this.dueGuide[c]! + this.dueMost[c]!) / 2) continue;
      if (this.board.dueNext[this.dueOf[c]!]) this.advance(c);
      else this.coverPrimed(c);
    }
  }

  /** Lights every film that would wait too long if this were done first. */
  private lightInTime(activity: Activity): void {
    const first = activity.parts[0]!;
    let ahead = this.seconds(activity);
    if (activity.parts.length === 1 && this.board.toLight_s[first.step]! > ahead && activity.lays)
      ahead = this.board.toLight_s[first.step]!;
    const { hand } = activity;
    for (let c = 0; c < this.pos.length; c += 1) {
      if (!(this.openMost[c]! < Infinity) || !this.waits(c) || this.takesPart(activity, c)) continue;
      let start = this.artist + (this.lastClass !== activity.class ? this.board.problem.changeover_s : 0);
      const h = hand === 2 ? this.board.hand[c]! : hand;
      if (this.handIn[h]! > start) start = this.handIn[h]!;
      for (const part of activity.parts) if (this.ready[part.chain]! > start) start = this.ready[part.chain]!;
      // Light on the other hand need not wait for this; a nail of this hand has to.
      const same = hand === 2 || this.board.hand[c] === hand || this.own;
      // Half of what is left past the guide is kept for what else must come before its light.
      const limit = (this.openGuide[c]! + this.openMost[c]!) / 2;
      if (
        same ? start + ahead > limit + EPSILON : start > limit + EPSILON || this.lamps.freeFrom(start) > limit
      )
        this.light(this.board.group[c]!, c);
    }
  }

  private work(a: number, activity: Activity): void {
    const { board } = this;
    const { problem } = board;
    const { hand } = activity;
    const changes = this.lastClass >= 0 && this.lastClass !== activity.class;
    let start = this.artist + (changes ? problem.changeover_s : 0);
    // A hand in the lamp is not worked on; on one's own hands neither is the other.
    if ((hand !== 1 || this.own) && this.handIn[0]! > start) start = this.handIn[0]!;
    if ((hand !== 0 || this.own) && this.handIn[1]! > start) start = this.handIn[1]!;
    if (activity.needs.length > 0) start = Math.max(start, this.metAt(activity.needs));
    // What sets by itself is waited for beside a file, and by the hand that has to work meanwhile.
    if (this.own || activity.dusty)
      for (let c = 0; c < this.settledAt.length; c += 1) {
        const other = board.hand[c] !== hand;
        const waits = (this.own && other) || (activity.dusty && (hand === 2 || !other));
        if (waits && this.settledAt[c]! > start) start = this.settledAt[c]!;
      }
    let before = 0;
    for (const part of activity.parts) {
      if (this.ready[part.chain]! - before > start) start = this.ready[part.chain]! - before;
      before += part.hand_s + part.rest_s;
    }
    const held = activity.parts[0]!;
    if (held.heldLight >= 0) {
      // The lamp must be free just when the work before the light ends.
      this.lamps.find(held.heldLight, start + held.hand_s, true);
      start = this.lamps.start_s - held.hand_s;
    }
    if (activity.parts.length === 1) start = this.lampInTime(held, start);
    if (activity.dusty || activity.lays) this.judgeDust(activity);
    if (this.own && hand < 2) this.judgeOther(activity, 1 - hand, this.unfit, 'hand-at-work');
    if (activity.forms && hand < 2) this.judgeOther(activity, 1 - hand, this.form, 'forms-on-both');
    if (changes) this.tally.classChanges += 1;
    for (const { work } of activity.parts) if (work >= 0) this.goesOnWith(work, hand);
    if (hand < 2) this.turnTo(hand, activity.parts.length);
    this.lastClass = activity.lastClass;
    this.isDone[a] = 1;
    this.done[this.doneCount] = a;
    this.doneCount += 1;
    this.record?.changes(changes);
    let t = start;
    for (let i = 0; i < activity.parts.length; i += 1) t = this.doPart(activity.parts[i]!, t);
    this.artist = t;
    if (hand !== 1) this.handWorked[0] = t;
    if (hand !== 0) this.handWorked[1] = t;
    if (t > this.tally.total_s) this.tally.total_s = t;
    this.left_s -= this.hands_s[a]!;
    // What is left is done by the same pair of hands, one thing after the other.
    if (this.isTooMuch?.(this.tally, t + this.left_s)) this.isOver = true;
  }

  /** When a film may be laid at the earliest: no sooner than a lamp can take it before it has waited too long. */
  private lampInTime(part: Part, start: number): number {
    const { openMost_s, itsLight, toLight_s } = this.board;
    const light = itsLight[part.step]!;
    if (openMost_s[part.step] === Infinity || light < 0) return start;
    const wanted = start + toLight_s[part.step]!;
    const latest = start + part.hand_s + openMost_s[part.step]!;
    this.lamps.find(light, wanted);
    // Work that takes too long by itself is not waited for: only a lamp that is taken.
    return start + Math.max(0, this.lamps.start_s - Math.max(wanted, latest));
  }

  /** A line of the card goes on, or the next begins. */
  private goesOnWith(work: number, hand: number): void {
    const { works } = this.board;
    const lamped = hand === 2 ? this.lampedSince[0]! | this.lampedSince[1]! : this.lampedSince[hand]!;
    if (hand !== 1) this.lampedSince[0] = 0;
    if (hand !== 0) this.lampedSince[1] = 0;
    if (work === this.lastWork && hand === this.lineHand && !lamped) return;
    if (this.begunOn[hand * works + work]) this.tally.torn += 1;
    if (work !== this.lastWork && this.begun[work]) this.tally.returns += 1;
    this.begun[work] = this.begunOn[hand * works + work] = 1;
    this.lastWork = work;
    this.lineHand = hand;
  }

  private turnTo(hand: number, nails: number): void {
    if (hand !== this.lastHand) {
      if (this.lastHand >= 0) this.tally.handChanges += 1;
      if (this.visited === 1) this.tally.lone += 1;
      this.visited = 0;
    }
    this.visited += nails;
    this.lastHand = hand;
  }

  private doPart(part: Part, start: number): number {
    const { board } = this;
    const c = part.chain;
    const [guide, most] = [this.dueGuide[c]!, this.dueMost[c]!];
    if (this.dueIsMet(c, part.step)) this.late(part.step, start, guide, most, board.dueKind[this.dueOf[c]!]!);
    this.gathersLint(c, start);
    let t = start;
    // Each has its own wait behind it, before the next is done or begins to rest.
    let wait = 0;
    for (let step = part.step; step < part.step + part.steps; step += 1) {
      if (board.hand_s[step]! > 0 || board.mode[step] !== 0) {
        t += wait;
        wait = 0;
      }
      wait += board.wait_s[step]!;
      const from = t;
      if (board.mode[step] === 0) {
        t += board.hand_s[step]!;
        if (t > from) this.record?.stroke(step, from, t);
        continue;
      }
      const lamp = this.lamps.find(step, t, true);
      t = this.lamps.start_s + board.run_s[lamp]![step]!;
      this.lamps.occupy(lamp, this.lamps.start_s, t);
      this.record?.load(lamp, [c], [step], this.lamps.start_s, t, true);
    }
    this.goOn(c, part.step + part.steps, t, wait);
    return t;
  }

  /** A nail after the step before `to`, at time `t`, and so much to wait from then on. */
  private goOn(c: number, to: number, t: number, wait_s = this.board.wait_s[to - 1]!): void {
    const { board } = this;
    const s = to - 1;
    const wasTacky = this.tacky[c]!;
    for (let k = this.pos[c]!; k < to; k += 1) {
      this.endOf[k] = t;
      this.tacky[c] = board.tacky[k]! & (board.sticks[k]! | this.tacky[c]!);
    }
    this.pos[c] = to;
    this.ready[c] = t + wait_s;
    this.wet[c] = board.wet[s]!;
    // A fresh film begins anew: what lies below it gathers nothing any more.
    if (!wasTacky || board.wet[s]) this.stickySince[c] = t;
    this.dusty[c] = board.dust[s]!;
    this.soft[c] = board.soft[s]!;
    this.unfit[c] = board.settles[s] ? 0 : board.unfit[s]!;
    this.settledAt[c] = board.settles[s] ? this.ready[c]! : 0;
    this.form[c] = board.form[s]!;
    if (!board.wet[s]) {
      this.openGuide[c] = this.openMost[c] = Infinity;
    } else if (board.renews[s]) {
      this.openGuide[c] = t + board.openGuide_s[s]!;
      this.openMost[c] = t + board.openMost_s[s]!;
    } else {
      if (t + board.openGuide_s[s]! < this.openGuide[c]!) this.openGuide[c] = t + board.openGuide_s[s]!;
      if (t + board.openMost_s[s]! < this.openMost[c]!) this.openMost[c] = t + board.openMost_s[s]!;
    }
    if (board.dueGuide_s[s]! < Infinity) {
      this.dueGuide[c] = t + board.dueGuide_s[s]!;
      this.dueMost[c] = t + board.dueMost_s[s]!;
      this.dueOf[c] = s;
    }
  }

  /** A nail that is left sticky for long gathers lint; weighed when it is taken in hand again. */
  private gathersLint(c: number, at: number): void {
    if (!this.tacky[c]) return;
    const over_s = at - this.stickySince[c]! - STICKY_S;
    if (over_s <= 0) return;
    this.tally.lint_s += over_s * STICKY_SHARE;
    this.stickySince[c] = at - STICKY_S;
  }

  private late(step: number, at: number, guide: number, most: number, kind: Broken['kind']): void {
    if (at <= guide + EPSILON) return;
    if (at > most + EPSILON) {
      this.tally.late += 1;
      this.tally.late_s += at - most;
      this.record?.broke(step, kind, at - most);
    }
    this.tally.lint_s += Math.min(at, most) - guide;
  }

  private judgeDust(activity: Activity): void {
    for (let h = 0; h < 2; h += 1) {
      if (activity.hand !== 2 && activity.hand !== h) continue;
      const chains = this.handChains[h]!;
      for (let i = 0; i < chains.length; i += 1) {
        const c = chains[i]!;
        if (this.takesPart(activity, c)) continue;
        const bad =
          (activity.dusty && (this.staysWet(c) || this.tacky[c])) || (activity.lays && this.dusty[c]);
        if (!bad) continue;
        this.tally.dust += 1;
        this.record?.broke(activity.parts[0]!.step, 'dust-beside-wet', 0);
        return;
      }
    }
  }

  /** What must not be on the other hand meanwhile: what makes it unfit for work, or a form where one is put on. */
  private judgeOther(activity: Activity, hand: number, state: Uint8Array, kind: Broken['kind']): void {
    if (!this.handChains[hand]!.some((c) => state[c] === 1)) return;
    this.tally.unfit += 1;
    this.record?.broke(activity.parts[0]!.step, kind, 0);
  }

  private lightAll(): void {
    let moved = true;
    while (moved || !this.forced) {
      // Where nothing goes on as it should, it goes on as it can; the replay tells what that does.
      this.forced = !moved;
      moved = false;
      for (let c = 0; c < this.pos.length; c += 1) {
        if (this.ended(c)) continue;
        const before = this.pos[c]!;
        this.advance(c);
        if (this.pos[c] !== before) moved = true;
      }
    }
  }

  /** One load of a group, for a nail of it or for all that wait. */
  private light(g: number, only: number): void {
    const { board } = this;
    const chains = board.groups[g]!;
    if (this.depth > DEEP) {
      // Too much hangs together: light what is here as it is.
      this.load(chains, g);
      return;
    }
    this.depth += 1;
    // Thumbs that share a load go in without the rest of their hands.
    if (board.acrossHands[g] || this.bringToLight(chains)) {
      const want = only >= 0 ? this.pos[only]! : -1;
      let again = true;
      while (again) {
        again = this.load(chains, g) && (only < 0 ? this.anyWaits(chains) : this.pos[only] === want);
      }
    }
    this.depth -= 1;
  }

  /** Works on what is wet until it waits for light; whether nothing is left that must not see it yet. */
  private bringToLight(chains: Int32Array): boolean {
    for (let i = 0; i < chains.length; i += 1) {
      const c = chains[i]!;
      let before = -1;
      while ((this.wet[c] || this.soft[c]) && !this.waits(c) && this.pos[c] !== before && !this.ended(c)) {
        before = this.pos[c]!;
        this.advance(c);
      }
    }
    if (this.forced) return true;
    for (let i = 0; i < chains.length; i += 1) {
      const c = chains[i]!;
      if (this.soft[c] && !this.waits(c) && !this.ended(c)) return false;
    }
    return true;
  }

  private anyWaits(chains: Int32Array): boolean {
    for (let i = 0; i < chains.length; i += 1) if (this.waits(chains[i]!)) return true;
    return false;
  }

  /** The nails a load is for. */
  private readonly inLoad: Int32Array;

  /** Whether all that the artist wants done before a light is done. */
  private mayLight(step: number): boolean {
    const { lightNeeds } = this.board;
    const needs = lightNeeds.size > 0 ? lightNeeds.get(step) : undefined;
    return !needs || this.met(needs);
  }

  private joins(c: number, mode: number): boolean {
    if (!this.waits(c) || this.board.mode[this.pos[c]!] !== mode) return false;
    return this.forced || this.mayLight(this.pos[c]!);
  }

  private load(chains: Int32Array, g: number): boolean {
    const { board } = this;
    let mode = 3;
    for (let i = 0; i < chains.length; i += 1) {
      const c = chains[i]!;
      if (!this.waits(c)) continue;
      const step = this.pos[c]!;
      if (!this.mayLight(step)) {
        // What it waits for comes first, unless that is just what is being done.
        if (!this.lit[step]) {
          this.lit[step] = 1;
          this.meet(board.lightNeeds.get(step)!);
          this.lit[step] = 0;
          if (this.pos[c] !== step) return true;
        }
        if (!this.mayLight(step) && !this.forced) continue;
      }
      if (board.mode[step]! < mode) mode = board.mode[step]!;
    }
    if (mode === 3) return false;
    let longest = -1;
    let start = 0;
    let left = false;
    let right = false;
    let count = 0;
    for (let i = 0; i < chains.length; i += 1) {
      const c = chains[i]!;
      if (!this.joins(c, mode)) continue;
      this.inLoad[count] = c;
      count += 1;
      if (longest < 0 || board.light_s[this.pos[c]!]! > board.light_s[longest]!) longest = this.pos[c]!;
      if (this.ready[c]! > start) start = this.ready[c]!;
      const needs = board.lightNeeds.size > 0 ? board.lightNeeds.get(this.pos[c]!) : undefined;
      if (needs) start = Math.max(start, this.metAt(needs));
      if (board.hand[c] === 0) left = true;
      else right = true;
    }
    // What came first may have taken along all that waited.
    if (count === 0) return false;
    if (left) start = Math.max(start, this.handIn[0]!, this.handWorked[0]!);
    if (right) start = Math.max(start, this.handIn[1]!, this.handWorked[1]!);
    if (this.own) start = Math.max(start, this.artist, this.handIn[0]!, this.handIn[1]!);
    // A flash of one nail is held to it by hand where there is a torch.
    const byHand = board.torch >= 0 && count === 1 && board.mode[longest] === 1;
    if (byHand) start = Math.max(start, this.artist);
    const lamp = this.lamps.find(longest, start, byHand);
    const begin = this.lamps.start_s;
    const end = begin + board.run_s[lamp]![longest]!;
    this.lamps.occupy(lamp, begin, end);
    if (byHand) this.artist = end;
    if (left) this.handIn[0] = end;
    if (right) this.handIn[1] = end;
    if (end > this.tally.total_s) this.tally.total_s = end;
    if (!byHand) {
      this.tally.loads += 1;
      if (count === 1 && chains.length > 1) this.tally.singleLoads += 1;
      // A torch is held within the work of its nail; what goes into a lamp ends a line.
      if (left) this.lampedSince[0] = 1;
      if (right) this.lampedSince[1] = 1;
    }
    const served: number[] = [];
    for (let i = 0; i < count; i += 1) {
      const c = this.inLoad[i]!;
      const step = this.pos[c]!;
      if (step > board.from[c]!)
        this.late(step - 1, begin, this.openGuide[c]!, this.openMost[c]!, 'open-too-long');
      if (this.record) served.push(step);
      // A film that waits on for a longer light has gelled by this one.
      this.openGuide[c] = this.openMost[c] = Infinity;
      this.goOn(c, step + 1, end);
    }
    if (this.record) {
      // A hand goes in whole; of thumbs that share a load only those it is for.
      const at = served.map((step) => board.chainOf[step]!);
      const inside = [...chains].filter((c) => (!byHand && !board.acrossHands[g]) || at.includes(c));
      this.record.load(lamp, inside, served, begin, end, byHand);
    }
    return true;
  }
}

/** Seconds of hand work in a part, without its waits and its light. */
function handsOf_s({ hand_s }: Board, part: Part): number {
  let sum = 0;
  for (let step = part.step; step < part.step + part.steps; step += 1) sum += hand_s[step]!;
  return sum;
}
