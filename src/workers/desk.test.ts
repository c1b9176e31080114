import { Desk, type Hire } from './desk';

interface Api {
  add: (a: number, b: number) => Promise<number>;
}

/** A desk whose workers do what a script says, one after the other; counts who was hired and dismissed. */
function deskWith(...script: (Api['add'] | 'broken' | 'refused')[]) {
  const count = { hired: 0, dismissed: 0 };
  const lose: ((message: string) => void)[] = [];
  const hire: Hire<Api> = (onLost) => {
    const does = script[Math.min(count.hired, script.length - 1)]!;
    count.hired += 1;
    if (does === 'refused') throw new Error('workers are blocked here');
    lose.push(onLost);
    if (does === 'broken') queueMicrotask(() => onLost('its script did not load'));
    return {
      api: { add: does === 'broken' ? () => new Promise(() => undefined) : does },
      dismiss: () => (count.dismissed += 1),
    };
  };
  return { desk: new Desk(hire), count, lose };
}

const adds: Api['add'] = async (a, b) => a + b;
const throws: Api['add'] = async () => {
  throw new Error('no such nail');
};
const silent: Api['add'] = () => new Promise(() => undefined);
const ask = (desk: Desk<Api>, limit_s = 60) => desk.ask((api) => api.add(1, 2), limit_s);

describe('a desk', () => {
  it('hires once and keeps who answers', async () => {
    const { desk, count } = deskWith(adds);
    expect([await ask(desk), await ask(desk)]).toEqual([3, 3]);
    expect(count).toEqual({ hired: 1, dismissed: 0 });
  });

  it.each<[string, Api['add'] | 'broken' | 'refused']>([
    ['throws', throws],
    ['breaks down', 'broken'],
    ['cannot be started', 'refused'],
  ])('asks another where the first %s', async (_words, first) => {
    const { desk, count } = deskWith(first, adds);
    expect(await ask(desk)).toBe(3);
    expect(count.hired).toBe(2);
  });

  it('asks another where the first never answers', async () => {
    const { desk, count } = deskWith(silent, adds);
    expect(await ask(desk, 0.01)).toBe(3);
    expect(count).toEqual({ hired: 2, dismissed: 1 });
  });

  it.each<[string, Api['add'] | 'broken' | 'refused', string, string]>([
    ['throws', throws, 'threw', 'no such nail'],
    ['breaks down', 'broken', 'lost', 'its script did not load'],
    ['cannot be started', 'refused', 'lost', 'workers are blocked here'],
    ['never answers', silent, 'slow', 'there was no answer for 0.01 s'],
  ])('says why where everyone %s, and works again after', async (_words, all, fault, message) => {
    const { desk, count } = deskWith(all, all, adds);
    await expect(ask(desk, 0.01)).rejects.toMatchObject({ fault, message });
    expect(count.hired).toBe(2);
    expect(await ask(desk)).toBe(3);
  });

  it('what others asked of a worker that hangs is asked again, and not blocked', async () => {
    let first = true;
    const { desk } = deskWith(async (a, b) => {
      if (!first) return a + b;
      first = false;
      return silent(a, b);
    });
    const [hanging, other] = [ask(desk, 0.05), desk.ask((api) => api.add(3, 4), 60)];
    expect(await other).toBe(7);
    expect(await hanging).toBe(3);
  });

  it('what is told is heard by whoever is there; nobody is hired for it, and nothing it fails at is heard of', async () => {
    const { desk, count } = deskWith(throws);
    desk.tell((api) => api.add(1, 2));
    expect(count.hired).toBe(0);
    desk.open();
    desk.tell((api) => api.add(1, 2));
    await Promise.resolve();
    expect(count).toEqual({ hired: 1, dismissed: 0 });
  });

  it('one lost while nobody waits is replaced at the next question', async () => {
    const { desk, lose } = deskWith(adds);
    await ask(desk);
    lose[0]!('out of memory');
    expect(await ask(desk)).toBe(3);
  });

  it('opened early, it has hired whom it asks; refused early, it asks all the same', async () => {
    const { desk, count } = deskWith(adds);
    desk.open();
    desk.open();
    expect(count.hired).toBe(1);
    expect(await ask(desk)).toBe(3);
    expect(count.hired).toBe(1);
    const refused = deskWith('refused', adds);
    refused.desk.open();
    expect(await ask(refused.desk)).toBe(3);
  });
});
