import type { Board } from './board';

/** An order of all activities as it is written, one after the other, each once its nails have come to it. */
export class Ordering {
  /** By chain: the step it has come to. */
  readonly at: Int32Array;
  private readonly isDone: Uint8Array;
  private readonly order: number[] = [];

  constructor(private readonly board: Board) {
    this.at = Int32Array.from(board.begins);
    this.isDone = new Uint8Array(board.activities.length);
  }

  /** Whether an activity is still to come, and all that the artist wants done before it is done. */
  isFree(a: number): boolean {
    const { activities, chainOf } = this.board;
    return !this.isDone[a] && activities[a]!.needs.every((step) => this.at[chainOf[step]!]! > step);
  }

  /** The activity that a nail has come to, its lights passed by; −1 at its end. */
  head(c: number): number {
    const { from, mode, act } = this.board;
    while (this.at[c]! < from[c + 1]! && mode[this.at[c]!]! > 0) this.at[c]! += 1;
    return this.at[c]! < from[c + 1]! ? act[this.at[c]!]! : -1;
  }

  /** Whether all its nails have come to it, lights passed by. */
  canBegin(a: number): boolean {
    return this.board.activities[a]!.parts.every((part) => this.head(part.chain) === a) && this.isFree(a);
  }

  perform(a: number): void {
    this.isDone[a] = 1;
    this.order.push(a);
    for (const part of this.board.activities[a]!.parts) this.at[part.chain] = part.step + part.steps;
  }

  /** All of it: what statements across nails held back comes last; playing puts it right. */
  whole(): Int32Array {
    const left = this.board.activities.flatMap((_, a) => (this.isDone[a] ? [] : [a]));
    return Int32Array.from([...this.order, ...left]);
  }
}
