import { newQueue, type Turn } from './planQueue';

const never = () => new AbortController().signal;

describe('who waits for a plan', () => {
  it('comes in the order of asking, so many at once', async () => {
    const queue = newQueue(2);
    const began: number[] = [];
    const turns = Array.from({ length: 6 }, (_, i) =>
      queue.turn(10, never()).then((turn) => {
        began.push(i);
        return turn;
      }),
    );
    await Promise.resolve();
    await Promise.resolve();
    expect(began).toEqual([0, 1]);
    const over = async (i: number) => {
      const turn = await turns[i]!;
      if (turn.kind === 'yours') turn.over();
      await new Promise((done) => setTimeout(done));
    };
    await over(1);
    expect(began).toEqual([0, 1, 2]);
    await over(0);
    await over(0);
    expect(began).toEqual([0, 1, 2, 3]);
    for (const i of [2, 3, 4, 5]) await over(i);
    expect(began).toEqual([0, 1, 2, 3, 4, 5]);
  });

  it('is told at once where forty wait, and how long it may take; one that is given up makes room', async () => {
    const queue = newQueue(1);
    const leaving = new AbortController();
    const first = await queue.turn(10, never());
    const left = queue.turn(10, leaving.signal);
    const others: Promise<Turn>[] = Array.from({ length: 39 }, () => queue.turn(10, never()));
    const told = await queue.turn(10, never());
    expect(told).toMatchObject({ kind: 'busy', waiting: 40 });
    expect(told.kind === 'busy' && told.again_s).toBe(queue.again_s());
    leaving.abort();
    expect(await left).toEqual({ kind: 'stopped' });
    const late = queue.turn(10, never());
    let turn: Turn = first;
    for (const next of [...others, late]) {
      if (turn.kind === 'yours') turn.over();
      turn = await next;
      expect(turn.kind).toBe('yours');
    }
  });

  it('holds no more bytes than it may', async () => {
    const queue = newQueue(1);
    await queue.turn(1, never());
    for (let i = 0; i < 8; i += 1) void queue.turn(8e6, never()).catch(() => undefined);
    expect((await queue.turn(8e6, never())).kind).toBe('busy');
  });
});
