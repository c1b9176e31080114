import type { Board } from './board';
import { LampTimes } from './lampTimes';
import { Memory } from './memory';

/** What a played sitting comes to. Lateness in seconds, summed over films. */
export interface Tally {
  total_s: number;
  loads: number;
  singleLoads: number;
  classChanges: number;
  handChanges: number;
  /** Visits to a hand for one stroke on one nail. */
  lone: number;
  /** Lines of a work on a hand beyond its first: its round is torn. */
  torn: number;
  /** Lines of a work that was done before, and something else since: its product is taken up again. */
  returns: number;
  /** Past what a film or primer may wait at most: times and seconds. */
  late: number;
  late_s: number;
  /** Past the guide, up to the most; and sticky for longer than a quarter of an hour. */
  lint_s: number;
  dust: number;
  /** Work done by a hand that wears what is wet, only flashed, or a form; forms put on while the other hand wears some. */
  unfit: number;
}

const NOTHING: Tally = {
  total_s: 0,
  loads: 0,
  singleLoads: 0,
  classChanges: 0,
  handChanges: 0,
  lone: 0,
  torn: 0,
  returns: 0,
  late: 0,
  late_s: 0,
  lint_s: 0,
  dust: 0,
  unfit: 0,
};
const TALLIED = Object.keys(NOTHING) as (keyof Tally)[];
const NUMBERS = [
  'artist',
  'lastClass',
  'lastHand',
  'lastWork',
  'lineHand',
  'visited',
  'doneCount',
  'tries',
  'left_s',
] as const;

/** All that a sitting under way is at one moment. */
export interface Saved {
  memory: Uint8Array;
  numbers: Float64Array;
}

/** How many arrays there are beside those of the lamps. */
const ARRAYS = 26;

/** A sitting that is being played: its nails, its hands, its lamps, and what it has come to. */
export class SittingState {
  readonly tally: Tally = { ...NOTHING };
  /** When the artist is free. */
  artist = 0;
  lastClass = -1;
  lastHand = -1;
  lastWork = -1;
  lineHand = -1;
  /** Nails worked on since the artist came to this hand. */
  visited = 0;
  doneCount = 0;
  /** How often anything was set about, with or without success. */
  tries = 0;
  /** Hand work that is still to do. */
  left_s = 0;
  /** Activities as they were begun. */
  readonly done: Int32Array;
  readonly isDone: Uint8Array;
  /** By activity: it was set about at least once. */
  readonly isTried: Uint8Array;
  /** By step: when it ended. */
  readonly endOf: Float64Array;
  /** By nail: the step it has come to, and when it can go on. */
  readonly pos: Int32Array;
  readonly ready: Float64Array;
  readonly wet: Uint8Array;
  readonly tacky: Uint8Array;
  /** Since when a nail has been sticky. */
  readonly stickySince: Float64Array;
  readonly dusty: Uint8Array;
  readonly soft: Uint8Array;
  readonly unfit: Uint8Array;
  readonly form: Uint8Array;
  /** When what settles by itself on a nail keeps its hand from working no longer. */
  readonly settledAt: Float64Array;
  readonly openGuide: Float64Array;
  readonly openMost: Float64Array;
  readonly dueGuide: Float64Array;
  readonly dueMost: Float64Array;
  /** The step that what is due follows. */
  readonly dueOf: Int32Array;
  /** By hand: until when it is in a lamp, until when it was worked on, and whether it was lit since. */
  readonly handIn: Float64Array;
  readonly handWorked: Float64Array;
  readonly lampedSince: Uint8Array;
  /** By work: 1 where it has been begun, and by hand (left, right, both) and work. */
  readonly begun: Uint8Array;
  readonly begunOn: Uint8Array;
  readonly lamps: LampTimes;
  private readonly all: Uint8Array;
  private readonly triedAt: number;

  constructor(protected readonly board: Board) {
    const { works, run_s, torch } = board;
    const chains = board.problem.chains.length;
    const activities = board.activities.length;
    const steps = board.mode.length;
    const numbers = 3 * activities + steps + 16 * chains + 6 + 4 * works + LampTimes.numbers(run_s);
    const memory = new Memory(numbers, ARRAYS + run_s.length + 1);
    this.done = memory.integers(activities);
    this.isDone = memory.marks(activities);
    this.isTried = memory.marks(activities);
    this.endOf = memory.floats(steps);
    this.pos = memory.integers(chains);
    this.ready = memory.floats(chains);
    this.wet = memory.marks(chains);
    this.tacky = memory.marks(chains);
    this.stickySince = memory.floats(chains);
    this.dusty = memory.marks(chains);
    this.soft = memory.marks(chains);
    this.unfit = memory.marks(chains);
    this.form = memory.marks(chains);
    this.settledAt = memory.floats(chains);
    this.openGuide = memory.floats(chains);
    this.openMost = memory.floats(chains);
    this.dueGuide = memory.floats(chains);
    this.dueMost = memory.floats(chains);
    this.dueOf = memory.integers(chains);
    this.handIn = memory.floats(2);
    this.handWorked = memory.floats(2);
    this.lampedSince = memory.marks(2);
    this.begun = memory.marks(works);
    this.begunOn = memory.marks(3 * works);
    this.lamps = new LampTimes(run_s, torch, memory);
    this.all = memory.all();
    this.triedAt = this.isTried.byteOffset;
  }

  /** Nothing done yet; `left_s` of hand work to do. */
  protected clear(left_s: number): void {
    for (const key of TALLIED) this.tally[key] = 0;
    this.artist = this.visited = this.doneCount = this.tries = 0;
    this.lastClass = this.lastHand = this.lastWork = this.lineHand = -1;
    this.left_s = left_s;
    this.all.fill(0);
    for (const array of [this.openGuide, this.openMost, this.dueGuide, this.dueMost]) array.fill(Infinity);
    this.pos.set(this.board.from.subarray(0, this.pos.length));
  }

  /** Where it stands now, written over what was saved before where there is something. */
  save(over: Saved = this.room()): Saved {
    over.memory.set(this.all);
    let n = 0;
    for (const key of NUMBERS) over.numbers[n++] = this[key];
    for (const key of TALLIED) over.numbers[n++] = this.tally[key];
    return over;
  }

  private room(): Saved {
    return {
      memory: new Uint8Array(this.all.length),
      numbers: new Float64Array(NUMBERS.length + TALLIED.length),
    };
  }

  /** Back to where it stood. */
  restore({ memory, numbers }: Saved): void {
    this.all.set(memory);
    let n = 0;
    for (const key of NUMBERS) this[key] = numbers[n++]!;
    for (const key of TALLIED) this.tally[key] = numbers[n++]!;
  }

  /** Whether an activity had been set about by then. */
  wasTried({ memory }: Saved, activity: number): boolean {
    return memory[this.triedAt + activity] === 1;
  }
}
