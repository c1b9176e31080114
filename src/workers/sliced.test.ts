/** @jest-environment node */
import type { InSlices } from '@/core/model/inSlices';
import { inOneGo } from '@/core/model/inSlices';
import { sliced } from './sliced';

/** Adds the numbers up to `count`, each of some milliseconds. */
function* sum(count: number, each_ms = 3): InSlices<number> {
  let all = 0;
  for (let i = 1; i <= count; i += 1) {
    const until = performance.now() + each_ms;
    while (performance.now() < until);
    all += i;
    yield i / count;
  }
  return all;
}

const always = () => true;

describe('work in slices', () => {
  it('comes to the same as in one go, and tells its share as it grows', async () => {
    const shares: number[] = [];
    expect(await sliced(sum(60), always, (share) => shares.push(share))).toBe(inOneGo(sum(60, 0)));
    expect(shares.length).toBeGreaterThan(1);
    expect(shares).toEqual([...new Set(shares)].sort((a, b) => a - b));
  });

  it('whoever asks meanwhile has a turn before it ends', async () => {
    const order: string[] = [];
    const { port1, port2 } = new MessageChannel();
    port1.onmessage = () => order.push('asked');
    const work = sliced(sum(60), always).then(() => order.push('done'));
    port2.postMessage('a plan, please');
    await work;
    port1.close();
    expect(order).toEqual(['asked', 'done']);
  });

  it('is left when nobody wants it, and never begun where nobody ever did', async () => {
    let slices = 0;
    function* endless(): InSlices<number> {
      for (;;) {
        slices += 1;
        yield 0;
      }
    }
    let turns = 0;
    expect(await sliced(endless(), () => (turns += 1) < 4)).toBeUndefined();
    expect(slices).toBeGreaterThan(0);
    slices = 0;
    expect(await sliced(endless(), () => false)).toBeUndefined();
    expect(slices).toBe(0);
  });

  it('what is thrown in a slice is thrown by it', async () => {
    function* broken(): InSlices<number> {
      yield 0.5;
      throw new Error('no such nail');
    }
    await expect(sliced(broken(), always)).rejects.toThrow('no such nail');
  });
});
