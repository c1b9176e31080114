import { WorkQueue } from './workQueue';

/** Work that is answered by hand, and the names in the order in which it was begun. */
function bench(atOnce: number) {
  const queue = new WorkQueue(atOnce);
  const begun: string[] = [];
  const answers = new Map<string, { give: (value: string) => void; fail: (error: Error) => void }>();
  const ask = (rank: number, name: string, wanted?: () => boolean) =>
    queue.add(
      rank,
      () =>
        new Promise<string>((give, fail) => {
          begun.push(name);
          answers.set(name, { give, fail });
        }),
      wanted,
    );
  return { queue, begun, ask, of: (name: string) => answers.get(name)! };
}

const settled = () => new Promise((resolve) => setTimeout(resolve));

describe('work that waits its turn', () => {
  it('is begun by rank among what is asked in one breath, then in the order it was asked', async () => {
    const { begun, ask, of } = bench(1);
    const asked = [ask(2, 'swatch'), ask(0, 'thumb'), ask(1, 'large'), ask(0, 'ring')];
    for (const name of ['thumb', 'ring', 'large', 'swatch']) {
      await settled();
      expect(begun.at(-1)).toBe(name);
      of(name).give(name);
    }
    expect(await Promise.all(asked)).toEqual(['swatch', 'thumb', 'large', 'ring']);
  });

  it('is not begun where nobody wants it by then', async () => {
    const { begun, ask, of } = bench(1);
    let wanted = true;
    const first = ask(0, 'first');
    const second = ask(0, 'second', () => wanted);
    await settled();
    wanted = false;
    of('first').give('done');
    expect(await first).toBe('done');
    expect(await second).toBeUndefined();
    expect(begun).toEqual(['first']);
  });

  it('goes on after what has failed, as many at once as it may', async () => {
    const { begun, ask, of } = bench(2);
    const [a, b, c] = [ask(0, 'a'), ask(0, 'b'), ask(0, 'c')];
    await settled();
    expect(begun).toEqual(['a', 'b']);
    of('b').fail(new Error('no such nail'));
    await expect(b).rejects.toThrow('no such nail');
    await settled();
    of('a').give('a');
    of('c').give('c');
    expect(await Promise.all([a, c])).toEqual(['a', 'c']);
  });
});
