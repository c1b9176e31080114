import type { InSlices } from '@/core/model/inSlices';

/** Long enough that laying down costs nothing, short enough that whoever asks meanwhile does not notice. */
const SLICE_MS = 24;
/** The share done is told in steps of so much. */
const TOLD = 0.02;

/**
 * Runs work slice by slice; between slices whatever else was asked of this worker has its turn. Undefined where the
 * work is not `wanted` any more.
 */
export async function sliced<T>(
  work: InSlices<T>,
  wanted: () => boolean,
  onShare: (share: number) => void = () => undefined,
): Promise<T | undefined> {
  let told = 0;
  while (wanted()) {
    const until = performance.now() + SLICE_MS;
    let step = work.next();
    while (!step.done && performance.now() < until) step = work.next();
    if (step.done) return step.value;
    if (step.value >= told + TOLD) onShare((told = step.value));
    await othersTurn();
  }
  return undefined;
}

/** After all that has come in by now. A message, since timers that follow one another are held back. */
function othersTurn(): Promise<void> {
  return new Promise((resolve) => {
    const { port1, port2 } = new MessageChannel();
    port1.onmessage = () => {
      port1.close();
      resolve();
    };
    port2.postMessage(0);
  });
}
