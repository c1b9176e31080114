import { without } from '../model/without';
import type { Board } from './board';
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
      missing: this.missing(),
      total_s,
    };
  }

  /** Another brush or product is taken up, or not. */
  changes(does: boolean): void {
    this.changeover_s = does ? this.board.problem.changeover_s : 0;
  }

  /** Work of one step. */
  stroke(step: number, start_s: number, end_s: number): void {
    const { problem, chainOf } = this.board;
    const { nail, hand } = problem.chains[chainOf[step]!]!;
    const { changeover_s } = this;
    this.strokes.push({ operation: this.operation(step), nail, hand, start_s, end_s, changeover_s });
    this.changeover_s = 0;
  }

  /** A nail wiped after a step so that another of its hand can be filed. */
  wipe(step: number, start_s: number, end_s: number): void {
    const { problem, chainOf } = this.board;
    const { nail, hand } = problem.chains[chainOf[step]!]!;
    const before = [...(problem.begun?.wipes ?? []), ...this.wipes];
    const count = before.filter((one) => one.nail === nail).length + 1;
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

  /** What asks for hands or light and has got none. */
  private missing(): string[] {
    const placed = new Set([
      ...this.strokes.map((stroke) => stroke.operation),
      ...this.loads.flatMap((load) => load.operations),
    ]);
    const { problem, from, begins } = this.board;
    return problem.chains.flatMap((chain, c) =>
      chain.tasks
        .slice(begins[c]! - from[c]!)
        .flatMap((task) =>
          (task.light || task.hand_s > 0) && !placed.has(task.operation) ? [task.operation] : [],
        ),
    );
  }

  private operation(step: number): string {
    const { problem, from, chainOf } = this.board;
    const chain = chainOf[step]!;
    return problem.chains[chain]!.tasks[step - from[chain]!]!.operation;
  }
}
