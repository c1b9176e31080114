/** So many wait for a thread, with so many bytes; who comes later is asked to come again. */
const MOST_WAITING = 40;
const MOST_WAITING_BYTES = 64 * 1024 * 1024;
/** What a plan takes, as long as none was made. */
const USUAL_S = 2;
/** How much the latest plan counts in what one takes. */
const LATEST_SHARE = 0.3;

export type Turn =
  | { kind: 'yours'; over: () => void }
  | { kind: 'busy'; again_s: number; waiting: number }
  /** It was given up while it waited. */
  | { kind: 'stopped' };

export interface Queue {
  /** Settles when it is one's turn, or at once where too many wait. */
  turn: (bytes: number, signal: AbortSignal) => Promise<Turn>;
  /** In how many seconds one that comes again may find a place. */
  again_s: () => number;
}

/** First come, first served, by `threads` at once. */
export function newQueue(threads: number): Queue {
  let running = 0;
  let usual_s = USUAL_S;
  let held = 0;
  const waiting: { bytes: number; begin: () => void }[] = [];
  // Half of what is ahead: a place is free long before all of it is planned.
  const again_s = () => Math.max(1, Math.ceil(((waiting.length + running) * usual_s) / threads / 2));

  function begun(): Turn {
    running += 1;
    const start = performance.now();
    let over = false;
    return {
      kind: 'yours',
      over: () => {
        if (over) return;
        over = true;
        running -= 1;
        usual_s += LATEST_SHARE * ((performance.now() - start) / 1000 - usual_s);
        waiting[0]?.begin();
      },
    };
  }

  return {
    again_s,
    turn: (bytes, signal) =>
      new Promise((resolve) => {
        if (signal.aborted) return resolve({ kind: 'stopped' });
        if (running < threads && waiting.length === 0) return resolve(begun());
        if (waiting.length >= MOST_WAITING || held + bytes > MOST_WAITING_BYTES)
          return resolve({ kind: 'busy', again_s: again_s(), waiting: waiting.length });
        const leave = () => {
          waiting.splice(waiting.indexOf(one), 1);
          held -= bytes;
          signal.removeEventListener('abort', stop);
        };
        const stop = () => {
          leave();
          resolve({ kind: 'stopped' });
        };
        const one = {
          bytes,
          begin: () => {
            leave();
            resolve(begun());
          },
        };
        held += bytes;
        waiting.push(one);
        signal.addEventListener('abort', stop);
      }),
  };
}
