import { availableParallelism } from 'node:os';
import { join } from 'node:path';
import { Piscina } from 'piscina';
import { newQueue, type Queue } from './planQueue';
import type { ThreadAnswer, ThreadAsked } from './planThread';

/** A set at every limit of the format plans in a fraction of this. */
const THREAD_MEMORY_MB = 1024;

/** Put there by scripts/build.mjs. */
const THREAD = join(process.cwd(), '.next', 'plan-thread.cjs');

type Pool = Piscina<ThreadAsked, ThreadAnswer>;
/** One pool for the process: what starts the server and what answers are bundled apart. */
const HERE = globalThis as typeof globalThis & { lacquerPlanPool?: Pool; lacquerPlanQueue?: Queue };

const most = () => Math.max(1, Math.min(4, availableParallelism()));

/** The threads that plan for the server. Hired at its start: a first plan that loads them would hold up a page. */
export function threads(): Pool {
  HERE.lacquerPlanPool ??= new Piscina({
    filename: THREAD,
    minThreads: most(),
    maxThreads: most(),
    resourceLimits: { maxOldGenerationSizeMb: THREAD_MEMORY_MB },
  });
  return HERE.lacquerPlanPool;
}

export type Outcome =
  | { kind: 'answer'; answer: ThreadAnswer }
  /** As many wait as may; in so many seconds it may be worth asking again. */
  | { kind: 'busy'; again_s: number; waiting: number }
  /** It took longer than it may, waiting not counted. */
  | { kind: 'late'; again_s: number }
  /** Nobody waits for it any more. */
  | { kind: 'stopped' };

/**
 * Plans a file's bytes, which are taken over, once a thread is free, in no more than `limit_ms` from then. Stops at once
 * when the signal says so.
 */
export async function planInPool(
  { bytes, iterations }: { bytes: Uint8Array<ArrayBuffer>; iterations: number },
  limit_ms: number,
  signal: AbortSignal,
): Promise<Outcome> {
  const queue = (HERE.lacquerPlanQueue ??= newQueue(most()));
  const turn = await queue.turn(bytes.length, signal);
  if (turn.kind !== 'yours') return turn;
  const limit = AbortSignal.timeout(limit_ms);
  try {
    const answer = await threads().run(
      { bytes, iterations },
      { signal: AbortSignal.any([signal, limit]), transferList: [bytes.buffer] },
    );
    return { kind: 'answer', answer };
  } catch (error) {
    if (signal.aborted) return { kind: 'stopped' };
    if (limit.aborted) return { kind: 'late', again_s: queue.again_s() };
    throw error;
  } finally {
    turn.over();
  }
}
