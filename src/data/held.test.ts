import { holdTable } from './held';

/** A browser's locks as far as a table needs them: one holder a name, in turn, or stolen. */
function fakeLocks() {
  interface Waiting {
    run: () => void;
  }
  const held = new Map<string, { lose: () => void }>();
  const queue = new Map<string, Waiting[]>();
  const request = (
    name: string,
    options: LockOptions,
    callback: (lock: Lock | null) => Promise<void> | undefined,
  ) =>
    new Promise<void>((resolve, reject) => {
      const run = () => {
        let over = false;
        const end = (done: () => void) => {
          if (over) return;
          over = true;
          done();
        };
        held.set(name, { lose: () => end(() => reject(new DOMException('stolen', 'AbortError'))) });
        const mine = held.get(name);
        Promise.resolve(callback({ name, mode: 'exclusive' })).then(() => {
          if (held.get(name) === mine) {
            held.delete(name);
            queue.get(name)?.shift()?.run();
          }
          end(resolve);
        }, reject);
      };
      if (options.steal) {
        held.get(name)?.lose();
        run();
      } else if (!held.has(name)) run();
      else if (options.ifAvailable) resolve(callback(null));
      else {
        queue.set(name, [...(queue.get(name) ?? []), { run }]);
        options.signal?.addEventListener('abort', () => reject(new DOMException('given up', 'AbortError')));
      }
    });
  return { request };
}

const settled = () => new Promise((resolve) => setTimeout(resolve, 5));

describe('the table of a set', () => {
  beforeEach(() => {
    Object.defineProperty(globalThis, 'navigator', {
      value: { locks: fakeLocks() },
      configurable: true,
      writable: true,
    });
  });

  it('is one tab’s; another waits for it, and has it when the first leaves', async () => {
    const said: string[] = [];
    const first = holdTable('a', (is) => said.push(`first ${is}`));
    await settled();
    const second = holdTable('a', (is) => said.push(`second ${is}`));
    await settled();
    expect(said).toEqual(['first true', 'second false']);
    first.leave();
    await settled();
    expect(said).toEqual(['first true', 'second false', 'second true']);
    second.leave();
    await settled();
    expect(said).toHaveLength(3);
  });

  it('is taken from a tab that is told so, and of another set is nobody’s matter', async () => {
    const said: string[] = [];
    holdTable('a', (is) => said.push(`first ${is}`));
    await settled();
    const second = holdTable('a', (is) => said.push(`second ${is}`));
    holdTable('b', (is) => said.push(`other ${is}`));
    await settled();
    second.take();
    await settled();
    expect(said.slice(0, 3).sort()).toEqual(['first true', 'other true', 'second false']);
    expect(said.slice(3).sort()).toEqual(['first false', 'second true']);
  });
});
