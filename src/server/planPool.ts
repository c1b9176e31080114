import { availableParallelism } from 'node:os';
import { join } from 'node:path';
import { Piscina } from 'piscina';
import type { ThreadAnswer } from './planThread';

/** So many wait for a thread; who comes later is asked to come again. */
const MOST_WAITING = 4;
/** A set at every limit of the format plans in a fraction of this. */
const THREAD_MEMORY_MB = 1024;

/** Put there by scripts/build.mjs. */
const THREAD = join(process.cwd(), '.next', 'plan-thread.cjs');

type Pool = Piscina<Uint8Array, ThreadAnswer>;
/** One pool for the process: what starts the server and what answers are bundled apart. */
const HERE = globalThis as typeof globalThis & { lacquerPlanPool?: Pool };

/** The threads that plan for the server. Hired at its start: a first plan that loads them would hold up a page. */
export function threads(): Pool {
  const most = Math.max(1, Math.min(4, availableParallelism()));
  HERE.lacquerPlanPool ??= new Piscina({
    filename: THREAD,
    minThreads: most,
    maxThreads: most,
    maxQueue: MOST_WAITING,
    resourceLimits: { maxOldGenerationSizeMb: THREAD_MEMORY_MB },
  });
  return HERE.lacquerPlanPool;
}

export type Outcome = { kind: 'answer'; answer: ThreadAnswer } | { kind: 'busy' | 'stopped' };

/** Plans a file's bytes, which are taken over. Stops at once when the signal says so. */
export async function planInPool(bytes: Uint8Array<ArrayBuffer>, signal: AbortSignal): Promise<Outcome> {
  if (threads().queueSize >= MOST_WAITING) return { kind: 'busy' };
  try {
    return { kind: 'answer', answer: await threads().run(bytes, { signal, transferList: [bytes.buffer] }) };
  } catch (error) {
    if (signal.aborted) return { kind: 'stopped' };
    throw error;
  }
}
