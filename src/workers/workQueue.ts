interface Waiting {
  rank: number;
  start: () => void;
}

/**
 * Work that waits its turn: the lowest rank first, then what was asked first; what nobody wants any more by then is
 * not begun. So the nails an eye is on are drawn before all else, and a hand that types fast leaves no queue behind.
 */
export class WorkQueue {
  private waiting: Waiting[] = [];
  private running = 0;
  private due = false;

  /** `atOnce`: how many are begun before the first of them is answered. */
  constructor(private readonly atOnce: number) {}

  /** Undefined where it was no longer wanted when its turn came. */
  add<T>(rank: number, work: () => Promise<T>): Promise<T>;
  add<T>(rank: number, work: () => Promise<T>, wanted?: () => boolean): Promise<T | undefined>;
  add<T>(rank: number, work: () => Promise<T>, wanted = () => true): Promise<T | undefined> {
    return new Promise((resolve, reject) => {
      const start = () => {
        if (!wanted()) {
          resolve(undefined);
          return;
        }
        this.running += 1;
        const over = () => {
          this.running -= 1;
          this.turn();
        };
        work().then(resolve, reject).finally(over);
      };
      this.waiting.push({ rank, start });
      this.turnSoon();
    });
  }

  /** After all that is asked for in the same breath, so that rank counts among it. */
  private turnSoon(): void {
    if (this.due) return;
    this.due = true;
    queueMicrotask(() => {
      this.due = false;
      this.turn();
    });
  }

  private turn(): void {
    this.waiting.sort((a, b) => a.rank - b.rank);
    while (this.running < this.atOnce && this.waiting.length > 0) this.waiting.shift()!.start();
  }
}
