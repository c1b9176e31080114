/** Presses nearer to each other than this are one press of a quick hand. */
const ONE_PRESS_MS = 350;

const running = new Set<string>();
const begun = new Map<string, number>();

/** Does what makes something new once, however often it is pressed while it is being made. */
export async function once(key: string, work: () => unknown): Promise<void> {
  const now = performance.now();
  if (running.has(key) || now - (begun.get(key) ?? -Infinity) < ONE_PRESS_MS) return;
  begun.set(key, now);
  running.add(key);
  try {
    await work();
  } finally {
    running.delete(key);
  }
}
