/**
 * Work that can be laid down between its slices and gone on with, or left: whoever runs it decides when. What it yields
 * is the share of it that is done, 0 to 1; what it returns is the same however it was sliced.
 */
export type InSlices<T> = Generator<number, T, void>;

/** All of it in one go. */
export function inOneGo<T>(work: InSlices<T>): T {
  for (;;) {
    const { done, value } = work.next();
    if (done) return value;
  }
}
