import type { Sign } from './signs';

const say = (sign: Sign) => self.postMessage(sign);
say({ sign: 'there' });

const lock = `merry-lacquer worker ${Math.random().toString(36).slice(2)}`;
globalThis.navigator.locks
  ?.request(lock, () => {
    say({ sign: 'held', lock });
    return new Promise(() => undefined);
  })
  .catch(() => undefined);

// What is asked meanwhile waits.
const early: MessageEvent[] = [];
const keep = (event: MessageEvent) => early.push(event);
self.addEventListener('message', keep);

import('./answering').then(
  ({ answer }) => {
    self.removeEventListener('message', keep);
    answer();
    for (const { data, ports } of early)
      self.dispatchEvent(new MessageEvent('message', { data: data as unknown, ports: [...ports] }));
  },
  (error: unknown) => say({ sign: 'lost', why: error instanceof Error ? error.message : String(error) }),
);
