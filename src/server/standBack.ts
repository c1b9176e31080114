import { setPriority } from 'node:os';

/** Of `nice`: a thread that plans stands back when a page is asked for and every core is busy. */
const STANDS_BACK = 6;

/** Where a system gives a thread no priority of its own, all are equal. */
function standBack(): void {
  try {
    // Linux counts a thread as a process here, and 0 is the one that asks.
    if (process.platform === 'linux') setPriority(0, STANDS_BACK);
  } catch {
    return;
  }
}
standBack();
