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

let pool: Piscina<Uint8Array, ThreadAnswer> | undefined;

/** The threads that plan for the server, hired when they are first needed. */
function threads(): Piscina<Uint8Array, ThreadAnswer> {
  pool ??= new Piscina({
    filename: THREAD,
    minThreads: 0,
    maxThreads: Math.max(1, Math.min(4, availableParallelism())),
    maxQueue: MOST_WAITING,
    idleTimeout: 60_000,
    resourceLimits: { maxOldGenerationSizeMb: THREAD_MEMORY_MB },
  });
  return pool;
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
