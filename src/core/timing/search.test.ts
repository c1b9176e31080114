import fc from 'fast-check';
import type { Hand } from '../model/names';
import { lowerBound_s } from './bound';
import { boardOf } from './board';
import { Player } from './play';
import { inRounds, ROUNDS } from './inRounds';
import { search } from './search';
import { inLamp_s, programme_s, type Chain, type Problem, type Schedule, type Task } from './problem';
import { runs } from '../testing/runs';

const paint = (id: string, seconds: number, open_s?: number): Task => ({
  operation: id,
  hand_s: seconds,
  class: 'paint',
  rank: 0,
  dusty: false,
  wait_s: 0,
  ...(open_s === undefined ? {} : { open: { guide_s: open_s, most_s: open_s } }),
  wet: true,
  tacky: false,
});
const light = (id: string, seconds: number, mode: 'cure' | 'flash' = 'cure'): Task => ({
  operation: id,
  hand_s: 0,
  class: 'light',
  rank: 1,
  dusty: false,
  light: { mode, seconds },
  wait_s: 0,
  wet: false,
  tacky: true,
});
const chain = (nail: string, hand: Hand, tasks: Task[]): Chain => ({
  nail,
  hand,
  thumb: nail.includes('thumb'),
  tasks,
});
const problem = (chains: Chain[], over: Partial<Problem> = {}): Problem => ({
  chains,
  lamps: [{ id: 'lamp', programmes_s: [] }],
  thumbs: 'apart',
  wearer: 'client',
  slower: { left: 1, right: 1 },
  changeover_s: 0,
  ...over,
});

/** The best sitting found; every second counts, friction hardly. */
const construct = (p: Problem, iterations = 600): Schedule => {
  if (p.chains.length === 0)
    return { strokes: [], loads: [], wipes: [], broken: [], missing: [], total_s: 0 };
  const board = boardOf(p);
  return new Player(board).schedule(search(board, { iterations, seed: 1, flow: 'quick' }));
};

const coats = (nail: string, hand: Hand, list: [number, number][]) =>
  chain(
    nail,
    hand,
    list.flatMap(([p, c], i) => [paint(`${nail}/p${i}`, p), light(`${nail}/c${i}`, c)]),
  );

/** Johnson's rule (1954) for two machines: the shortest makespan of jobs (work, light), each with its own carrier. */
function johnson(jobs: [number, number][]): number {
  const first = jobs.filter(([a, b]) => a <= b).sort((x, y) => x[0] - y[0]);
  const last = jobs.filter(([a, b]) => a > b).sort((x, y) => y[1] - x[1]);
  let worked = 0;
  let lit = 0;
  for (const [a, b] of [...first, ...last]) {
    worked += a;
    lit = Math.max(lit, worked) + b;
  }
  return lit;
}

describe('small sittings with known answers', () => {
  it('one coat: left 120 and 60, right 90 and 30 take 240', () => {
    const p = problem([coats('left-ring', 'left', [[120, 60]]), coats('right-ring', 'right', [[90, 30]])]);
    expect(construct(p).total_s).toBe(240);
    expect(lowerBound_s(p)).toBe(240);
  });

  const two = [
    coats('left-ring', 'left', [
      [40, 60],
      [40, 60],
    ]),
    coats('right-ring', 'right', [
      [40, 60],
      [40, 60],
    ]),
  ];
  it.each([
    ['one lamp', {}, 280],
    [
      'two lamps',
      {
        lamps: [
          { id: 'a', programmes_s: [] },
          { id: 'b', programmes_s: [] },
        ],
      },
      240,
    ],
    ['one’s own hands', { wearer: 'own' as const }, 400],
  ])('two hands, two coats of 40 and 60, %s', (_words, over, expected) => {
    expect(construct(problem(two, over)).total_s).toBe(expected);
  });

  const three = (open?: number) =>
    ['left-index', 'left-middle', 'left-ring'].map((nail) =>
      chain(nail, 'left', [paint(`${nail}/p`, 20, open), light(`${nail}/f`, 10, 'flash')]),
    );
  it('three nails of one hand, paint 20 and flash 10: 80 within an open time of 25, 70 without', () => {
    expect(construct(problem(three(25))).total_s).toBe(80);
    expect(construct(problem(three(25))).broken).toEqual([]);
    expect(construct(problem(three())).total_s).toBe(70);
  });

  it('Johnson’s rule on (10,20), (30,60), (50,20) gives 120, and no order of two hands beats it', () => {
    expect(
      johnson([
        [10, 20],
        [30, 60],
        [50, 20],
      ]),
    ).toBe(120);
    fc.assert(
      fc.property(
        fc.tuple(fc.integer({ min: 1, max: 90 }), fc.integer({ min: 1, max: 90 })),
        fc.tuple(fc.integer({ min: 1, max: 90 }), fc.integer({ min: 1, max: 90 })),
        (left, right) => {
          const p = problem([coats('left-ring', 'left', [left]), coats('right-ring', 'right', [right])]);
          expect(construct(p).total_s).toBe(johnson([left, right]));
        },
      ),
    );
  });
});

describe('programmes', () => {
  it('takes the shortest that is long enough, or several of the longest', () => {
    expect(programme_s([10, 30, 60], 25)).toBe(30);
    expect(programme_s([10, 30, 60], 60)).toBe(60);
    expect(programme_s([10, 30, 60], 75)).toBe(90);
    expect(programme_s([], 47)).toBe(47);
    // A flash that none is short enough for is ended by hand.
    expect(inLamp_s([30, 60], { mode: 'flash', seconds: 12 })).toBe(12);
    expect(inLamp_s([30, 60], { mode: 'flash', seconds: 20 })).toBe(30);
    expect(inLamp_s([30, 60], { mode: 'cure', seconds: 12 })).toBe(30);
  });
});

const FINGERS = ['little', 'ring', 'middle', 'index', 'thumb'];

/** Sittings of any shape: some coats a nail, flashes, waits, dust, open times. */
const anyProblem: fc.Arbitrary<Problem> = fc
  .record({
    nails: fc.array(
      fc.record({
        hand: fc.constantFrom<Hand>('left', 'right'),
        finger: fc.constantFrom(...FINGERS),
        rounds: fc.array(
          fc.record({
            work: fc.integer({ min: 1, max: 60 }),
            light: fc.integer({ min: 5, max: 90 }),
            flash: fc.boolean(),
            wait: fc.integer({ min: 0, max: 40 }),
            dusty: fc.boolean(),
            open: fc.option(fc.integer({ min: 5, max: 80 }), { nil: undefined }),
            product: fc.constantFrom('a', 'b', 'c'),
          }),
          { maxLength: 4 },
        ),
      }),
      { minLength: 1, maxLength: 10 },
    ),
    lamps: fc.integer({ min: 1, max: 2 }),
    programmes: fc.constantFrom<number[]>([], [10, 30, 60]),
    thumbs: fc.constantFrom<Problem['thumbs']>('apart', 'together', 'with-fingers'),
    wearer: fc.constantFrom<'client' | 'own'>('client', 'own'),
    slower: fc.constantFrom(1, 1.3),
    changeover: fc.constantFrom(0, 6),
  })
  .map(({ nails, lamps, programmes, thumbs, wearer, slower, changeover }) => {
    const seen = new Map<string, Chain>();
    for (const nail of nails) {
      const name = `${nail.hand}-${nail.finger}`;
      seen.set(
        name,
        chain(
          name,
          nail.hand,
          nail.rounds.flatMap((round, i) => [
            ...(round.dusty
              ? [
                  {
                    ...paint(`${name}/d${i}`, round.work),
                    dusty: true,
                    wet: false,
                    tacky: false,
                    class: 'file',
                  },
                ]
              : []),
            {
              ...paint(`${name}/p${i}`, round.work, round.open),
              class: round.product,
              wait_s: round.flash ? 0 : round.wait,
            },
            light(`${name}/l${i}`, round.light, round.flash ? 'flash' : 'cure'),
            { ...paint(`${name}/w${i}`, 3), class: 'wipe', wet: false, tacky: false },
          ]),
        ),
      );
    }
    return problem([...seen.values()], {
      lamps: Array.from({ length: lamps }, (_, i) => ({ id: `lamp-${i}`, programmes_s: programmes })),
      thumbs,
      wearer,
      slower: { left: 1, right: slower },
      changeover_s: changeover,
    });
  });

function clash(a: { start_s: number; end_s: number }, b: { start_s: number; end_s: number }): boolean {
  return a.start_s < b.end_s - 1e-9 && b.start_s < a.end_s - 1e-9;
}

function everyPair<T>(items: readonly T[], check: (a: T, b: T) => void): void {
  items.forEach((a, i) => items.slice(i + 1).forEach((b) => check(a, b)));
}

function checkFeasible(p: Problem, s: Schedule): void {
  // Each task is done once, in the order of its chain.
  for (const one of p.chains) {
    let free = 0;
    for (const task of one.tasks) {
      const done = task.light
        ? s.loads.filter((load) => load.operations.includes(task.operation))
        : s.strokes.filter((stroke) => stroke.operation === task.operation);
      expect(done).toHaveLength(1);
      expect(done[0]!.start_s).toBeGreaterThanOrEqual(free - 1e-9);
      expect(done[0]!.end_s - done[0]!.start_s).toBeGreaterThanOrEqual(
        (task.light?.seconds ?? task.hand_s) - 1e-9,
      );
      free = done[0]!.end_s + task.wait_s;
    }
  }
  // One artist; a lamp takes one load; a hand is in one lamp at a time, and not worked on meanwhile.
  everyPair(s.strokes, (a, b) => expect(clash(a, b)).toBe(false));
  everyPair(s.loads, (a, b) => {
    if (a.lamp === b.lamp || a.hand === b.hand) expect(clash(a, b)).toBe(false);
  });
  for (const stroke of s.strokes) {
    for (const load of s.loads) {
      if (load.hand === stroke.hand || p.wearer === 'own') expect(clash(stroke, load)).toBe(false);
    }
  }
}

describe('any sitting', () => {
  it('is feasible and never under the bound', () => {
    fc.assert(
      fc.property(anyProblem, (p) => {
        const schedule = construct(p, 40);
        checkFeasible(p, schedule);
        expect(schedule.total_s).toBeGreaterThanOrEqual(lowerBound_s(p) - 1e-6);
      }),
      { numRuns: runs(60, 300) },
    );
  });

  it('is never longer than plain rounds that break nothing', () => {
    fc.assert(
      fc.property(anyProblem, (p) => {
        const board = boardOf(p);
        const player = new Player(board);
        const size = board.activities.length;
        const marks = { close: new Uint8Array(size), keep: new Uint8Array(size) };
        const plain = ROUNDS.map((rounds) =>
          player.schedule({ order: inRounds(board, rounds), ...marks, whole: true }),
        ).filter(({ broken }) => broken.length === 0);
        const found = player.schedule(search(board, { iterations: 100, seed: 1, flow: 'balanced' }));
        for (const { total_s } of plain) expect(found.total_s).toBeLessThanOrEqual(total_s + 1e-6);
      }),
      { numRuns: runs(60, 300) },
    );
  });

  it('is the same each time', () => {
    fc.assert(
      fc.property(anyProblem, (p) => {
        expect(construct(p, 100)).toEqual(construct(structuredClone(p), 100));
      }),
      { numRuns: 30 },
    );
  });

  it('files beside no wet or tacky nail, unless it says so', () => {
    fc.assert(
      fc.property(anyProblem, (p) => {
        const s = construct(p, 40);
        const said = new Set(s.broken.map((broken) => broken.operation));
        const done = new Map<string, number>();
        for (const stroke of s.strokes) done.set(stroke.operation, stroke.end_s);
        for (const load of s.loads) for (const id of load.operations) done.set(id, load.end_s);
        for (const one of p.chains) {
          for (const task of one.tasks) {
            if (!task.dusty || said.has(task.operation)) continue;
            const start = s.strokes.find((stroke) => stroke.operation === task.operation)!.start_s;
            for (const beside of p.chains) {
              if (beside === one || beside.hand !== one.hand) continue;
              const before = beside.tasks.filter((t) => done.get(t.operation)! <= start + 1e-9);
              const last = before[before.length - 1];
              expect(last?.wet || last?.tacky || false).toBe(false);
            }
          }
        }
      }),
      { numRuns: runs(30, 150) },
    );
  });
});

describe('statements across nails', () => {
  /** Whether the chains and statements together leave some order of work: repeatedly takes what is free. */
  function possible(p: Problem, pairs: readonly { first: string; then: string }[]): boolean {
    const at = p.chains.map(() => 0);
    const done = new Set<string>();
    for (let moved = true; moved;) {
      moved = false;
      p.chains.forEach((one, c) => {
        const task = one.tasks[at[c]!];
        if (!task || pairs.some((pair) => pair.then === task.operation && !done.has(pair.first))) return;
        done.add(task.operation);
        at[c]! += 1;
        moved = true;
      });
    }
    return p.chains.every((one, c) => at[c] === one.tasks.length);
  }

  const withPairs = anyProblem.chain((p) => {
    const ids = p.chains.flatMap((one) => one.tasks.map((task) => task.operation));
    if (ids.length < 2) return fc.constant(p);
    const id = fc.constantFrom(...ids);
    return fc.array(fc.record({ first: id, then: id }), { maxLength: 6 }).map((wished) => {
      const pairs: { first: string; then: string }[] = [];
      for (const pair of wished) {
        if (pair.first !== pair.then && possible(p, [...pairs, pair])) pairs.push(pair);
      }
      return { ...p, precedences: pairs };
    });
  });

  it('are kept, and the schedule stays feasible', () => {
    fc.assert(
      fc.property(withPairs, (p) => {
        const schedule = construct(p, 40);
        checkFeasible(p, schedule);
        const span = (id: string) =>
          schedule.strokes.find((stroke) => stroke.operation === id) ??
          schedule.loads.find((load) => load.operations.includes(id))!;
        for (const { first, then } of p.precedences ?? []) {
          expect(span(first).end_s).toBeLessThanOrEqual(span(then).start_s + 1e-6);
        }
        expect(schedule.total_s).toBeGreaterThanOrEqual(lowerBound_s(p) - 1e-6);
      }),
      { numRuns: runs(40, 200) },
    );
  });
});

describe('beside a file', () => {
  const wiped: Partial<Problem> = { wipe: { class: 'wipe', seconds: 5 } };
  const filed = (id: string, more: Partial<Task> = {}): Task => ({
    ...paint(id, 20),
    class: 'file',
    wet: false,
    dusty: true,
    ...more,
  });

  it('what sets by itself is waited for, and no other nail has to be filed first for that', () => {
    const bead = (nail: string) =>
      chain(nail, 'left', [
        { ...paint(`${nail}/bead`, 30), wait_s: 300, settles: true },
        filed(`${nail}/file`),
      ]);
    const { strokes, broken } = construct(problem([bead('left-index'), bead('left-ring')], wiped));
    expect(broken).toEqual([]);
    const file = strokes.filter((one) => one.operation.endsWith('file'));
    // Both beads are laid one after the other; each is hard when the first file is taken up.
    expect(Math.min(...file.map((one) => one.start_s))).toBe(360);
  });

  it('a nail that was wiped in passing stays wiped while only dry work is done on it', () => {
    const dry = { wet: false, tacky: true };
    const sticky = chain('left-ring', 'left', [
      paint('left-ring/coat', 10),
      { ...light('left-ring/cure', 30), wipeable: true },
      { ...paint('left-ring/measure', 2), ...dry },
      { ...paint('left-ring/mark', 2), ...dry },
    ]);
    const other = chain('left-index', 'left', [filed('left-index/shape'), filed('left-index/edge')]);
    const { wipes, broken } = construct(
      problem([sticky, other], {
        ...wiped,
        precedences: [
          { first: 'left-ring/cure', then: 'left-index/shape' },
          { first: 'left-index/shape', then: 'left-ring/measure' },
          { first: 'left-ring/measure', then: 'left-index/edge' },
          { first: 'left-index/edge', then: 'left-ring/mark' },
        ],
      }),
    );
    expect(broken).toEqual([]);
    expect(wipes).toHaveLength(1);
  });
});

describe('waits within one piece of work', () => {
  const held = (id: string, seconds: number, wait_s: number): Task => ({
    ...paint(id, seconds),
    wet: false,
    wait_s,
    held: true,
  });

  it('what is held on after a wait begins when that is over, and a rest after it begins then', () => {
    const one = chain('left-ring', 'left', [
      { ...paint('left-ring/bead', 6), wet: false, wait_s: 90 },
      held('left-ring/set', 0, 300),
      paint('left-ring/file', 10),
    ]);
    // 6 of work, 90 until it is dull, 300 until it is hard, 10 of filing.
    expect(construct(problem([one])).total_s).toBe(406);
    const pinched = chain('left-ring', 'left', [
      { ...paint('left-ring/bead', 6), wet: false, wait_s: 90 },
      held('left-ring/pinch', 4, 0),
    ]);
    const { strokes, total_s } = construct(problem([pinched]));
    expect(strokes.map(({ start_s, end_s }) => [start_s, end_s])).toEqual([
      [0, 6],
      [96, 100],
    ]);
    expect(total_s).toBe(100);
  });
});
