import { without } from '../model/without';
import type { Board, Part } from './board';
import { handWipeId, type Broken, type HandWipe, type Load, type Schedule, type Stroke } from './problem';

const byStart = (a: { start_s: number }, b: { start_s: number }) => a.start_s - b.start_s;

/** A sitting that is being played, written down in the names of its problem: a schedule to work from. */
export class SittingRecord {
  private readonly strokes: Stroke[] = [];
  private readonly loads: Load[] = [];
  private readonly wipes: HandWipe[] = [];
  private readonly broken: Broken[] = [];
  /** What the next stroke is preceded by. */
  private changeover_s = 0;

  constructor(private readonly board: Board) {}

  schedule(total_s: number): Schedule {
    const wiped = this.wipes.map((wipe): Stroke => without(wipe, 'after'));
    return {
      strokes: [...this.strokes, ...wiped].sort(byStart),
      loads: this.loads.sort(byStart),
      wipes: this.wipes.sort(byStart),
      broken: this.broken,
      total_s,
    };
  }

  /** Another brush or product is taken up, or not. */
  changes(does: boolean): void {
    this.changeover_s = does ? this.board.problem.changeover_s : 0;
  }

  /** The work of a part; light held at its end is a load of its own. */
  part(part: Part, start_s: number): void {
    const { problem, from } = this.board;
    const chain = problem.chains[part.chain]!;
    let start = start_s;
    for (let step = part.step; step < part.step + part.steps; step += 1) {
      const task = chain.tasks[step - from[part.chain]!]!;
      if (task.light || task.hand_s === 0) continue;
      const end = start + task.hand_s * problem.slower[chain.hand];
      this.strokes.push({
        operation: task.operation,
        nail: chain.nail,
        hand: chain.hand,
        start_s: start,
        end_s: end,
        changeover_s: this.changeover_s,
      });
      this.changeover_s = 0;
      start = end;
    }
  }

  /** A nail wiped after a step so that another of its hand can be filed. */
  wipe(step: number, start_s: number, end_s: number): void {
    const { problem, chainOf } = this.board;
    const { nail, hand } = problem.chains[chainOf[step]!]!;
    const count = this.wipes.filter((one) => one.nail === nail).length + 1;
    this.wipes.push({
      operation: handWipeId(nail, count),
      nail,
      hand,
      after: this.operation(step),
      start_s,
      end_s,
      changeover_s: this.changeover_s,
    });
  }

  /** Light on some nails for the steps it serves; held by hand it is part of the work before it. */
  load(
    lamp: number,
    nails: readonly number[],
    served: readonly number[],
    start_s: number,
    end_s: number,
    held = false,
  ): void {
    const { problem, chainOf, mode } = this.board;
    this.loads.push({
      lamp: problem.lamps[lamp]!.id,
      hand: problem.chains[chainOf[served[0]!]!]!.hand,
      nails: nails.map((c) => problem.chains[c]!.nail),
      operations: served.map((step) => this.operation(step)),
      mode: mode[served[0]!] === 1 ? 'flash' : 'cure',
      start_s,
      end_s,
      ...(held ? { held } : {}),
    });
  }

  broke(step: number, kind: Broken['kind'], seconds: number): void {
    this.broken.push({ operation: this.operation(step), kind, seconds });
  }

  private operation(step: number): string {
    const { problem, from, chainOf } = this.board;
    const chain = chainOf[step]!;
    return problem.chains[chain]!.tasks[step - from[chain]!]!.operation;
  }
}
