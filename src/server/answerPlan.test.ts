import { answerPlan, onlyPost } from './answerPlan';
import { planInPool, type Outcome } from './planPool';
import { readBody } from './readBody';

jest.mock('./planPool');
const pool = planInPool as jest.MockedFunction<typeof planInPool>;
const answers = (outcome: Outcome) => pool.mockResolvedValue(outcome);

const asked = (body: BodyInit | null, type = 'application/json', more: RequestInit = {}) =>
  new Request('http://here/api/plan', {
    method: 'POST',
    body,
    headers: { 'content-type': type },
    duplex: 'half',
    ...more,
  } as RequestInit);
const reasonOf = async (response: Response) =>
  ((await response.json()) as { faults: { message: string }[] }).faults[0]!.message;

/** A body that comes in pieces; `pulled` counts the bytes that were taken of it. */
function stream(pieces: number, size: number, end: 'ends' | 'hangs' | 'breaks' = 'ends') {
  const count = { pulled: 0, cancelled: false };
  const body = new ReadableStream<Uint8Array>(
    {
      pull(controller) {
        if (count.pulled >= pieces * size) {
          if (end === 'ends') controller.close();
          if (end === 'breaks') controller.error(new Error('gone'));
          return end === 'hangs' ? new Promise(() => undefined) : undefined;
        }
        count.pulled += size;
        controller.enqueue(new Uint8Array(size).fill(0x20));
        return undefined;
      },
      cancel() {
        count.cancelled = true;
      },
    },
    { highWaterMark: 0 },
  );
  return { body, count };
}

describe('a plan asked of the server', () => {
  it('is handed on as the thread gave it', async () => {
    answers({ kind: 'answer', answer: { kind: 'plan', body: '{"a":1}' } });
    const good = await answerPlan(asked('{}', 'application/vnd.mine+json; charset=utf-8'));
    expect([good.status, good.headers.get('content-type'), await good.text()]).toEqual([
      200,
      'application/json',
      '{"a":1}',
    ]);
    answers({ kind: 'answer', answer: { kind: 'faults', body: '{"faults":[]}' } });
    expect((await answerPlan(asked('{}'))).status).toBe(422);
  });

  it('is searched for shortly unless it is asked for at length, and says which', async () => {
    answers({ kind: 'answer', answer: { kind: 'plan', body: '{}' } });
    const iterations = async (query: string) => {
      const response = await answerPlan(new Request(`http://here/api/plan${query}`, asked('{}')));
      return [
        response.headers.get('search-effort'),
        pool.mock.lastCall![0].iterations,
        pool.mock.lastCall![1],
      ];
    };
    expect(await iterations('')).toEqual(['short; iterations=4000', 4000, 20_000]);
    expect(await iterations('?effort=long')).toEqual(['long; iterations=60000', 60_000, 30_000]);
    const other = await answerPlan(new Request('http://here/api/plan?effort=toString', asked('{}')));
    expect([other.status, await reasonOf(other)]).toEqual([400, 'the effort is "short" or "long"']);
  });

  it.each(['text/plain', 'application/x-www-form-urlencoded', 'application/jsonp', ''])(
    'is refused as %s',
    async (type) => {
      const response = await answerPlan(asked('{}', type));
      expect(response.status).toBe(415);
      expect(await reasonOf(response)).toMatch(/application\/json/);
    },
  );

  it('too many at once are asked to come again', async () => {
    answers({ kind: 'busy', again_s: 7, waiting: 40 });
    const response = await answerPlan(asked('{}'));
    expect([response.status, response.headers.get('retry-after')]).toEqual([429, '7']);
    expect(await reasonOf(response)).toBe('40 plans wait already: come again in 7 s');
  });

  it('that takes too long is broken off with a reason, and stopped in silence where nobody waits', async () => {
    answers({ kind: 'late', again_s: 3 });
    const late = await answerPlan(asked('{}'));
    expect([late.status, late.headers.get('retry-after')]).toEqual([503, '3']);
    expect(await reasonOf(late)).toBe('there was no plan within 20 s');
    const signals: AbortSignal[] = [];
    pool.mockImplementation(async (_asked, _limit, signal) => {
      signals.push(signal);
      return { kind: 'stopped' };
    });
    const leaving = new AbortController();
    const response = await answerPlan(asked('{}', undefined, { signal: leaving.signal }));
    expect(response.status).toBe(499);
    expect(signals[0]!.aborted).toBe(false);
    leaving.abort();
    expect(signals[0]!.aborted).toBe(true);
  });

  it('that breaks the program down tells a number and no more; the rest is told to whoever keeps it', async () => {
    const told = jest.spyOn(console, 'error').mockImplementation(() => undefined);
    pool.mockRejectedValue(new Error('/home/artist/secret'));
    const response = await answerPlan(asked('{}'));
    const text = await response.text();
    expect(response.status).toBe(500);
    expect(text).not.toMatch(/secret/);
    const { id } = JSON.parse(text) as { id: string };
    expect(told.mock.calls[0]!.map(String).join(' ')).toMatch(new RegExp(`${id}.*secret`));
    told.mockRestore();
  });

  it('by another method is told which one', async () => {
    const response = onlyPost();
    expect([response.status, response.headers.get('allow')]).toEqual([405, 'POST']);
  });
});

describe('a body', () => {
  const limits = { bytes: 1000, ms: 60_000 };

  it('is put together from its pieces', async () => {
    const read = await readBody(asked(stream(9, 100).body), limits);
    expect(read.kind === 'whole' && read.bytes.length).toBe(900);
    expect(await readBody(asked(null), limits)).toEqual({ kind: 'whole', bytes: new Uint8Array() });
  });

  it('over the limit is left after the piece that went over it, whatever it said it would be', async () => {
    const endless = stream(1e9, 400);
    expect(await readBody(asked(endless.body), limits)).toEqual({ kind: 'too-large' });
    expect(endless.count).toEqual({ pulled: 1200, cancelled: true });
  });

  it('that says it is too large is not read at all', async () => {
    const { body, count } = stream(10, 100);
    const request = asked(body, undefined, { headers: { 'content-length': '1001' } });
    expect(await readBody(request, limits)).toEqual({ kind: 'too-large' });
    expect(count.pulled).toBe(0);
  });

  it('that hangs is left after its time, and one that breaks off is told', async () => {
    expect(await readBody(asked(stream(1, 100, 'hangs').body), { ...limits, ms: 20 })).toEqual({
      kind: 'too-slow',
    });
    expect(await readBody(asked(stream(1, 100, 'breaks').body), limits)).toEqual({ kind: 'broken' });
  });

  it('is let go when the server holds as much as it may, and room is there again after', async () => {
    const large = { bytes: 8e6, ms: 2000 };
    const hanging = Array.from({ length: 10 }, () => readBody(asked(stream(7, 1e6, 'hangs').body), large));
    const kinds = (await Promise.all(hanging)).map((one) => one.kind);
    expect(kinds.filter((kind) => kind === 'full').length).toBeGreaterThan(0);
    expect(kinds.filter((kind) => kind === 'too-slow').length).toBeGreaterThan(5);
    expect((await readBody(asked(stream(7, 1e6).body), large)).kind).toBe('whole');
  });
});
