import fc from 'fast-check';
import { matinee } from '../demo/matinee';
import { curtainUp } from '../demo/curtainUp';
import { planSet, type Plan } from '../plan/planSet';
import { factsOf } from '../testing/facts';
import { runs } from '../testing/runs';
import { checkSitting } from '../testing/sittingChecker';
import { clockAt, looked, timeOf } from './clock';
import { courseOf } from './course';
import { Bench, type BenchEvent } from './log';
import { again, cutShort, press, restOfPass, takeBack } from './presses';
import { atTable } from './atTable';
import { begunOf } from './begun';

const START_MS = 1_800_000_000_000;
const set = matinee();
const plan = planSet(set, { effort: { iterations: 400 }, fixes: false });
const laid = (of: Plan = plan): Bench => ({
  set: 'matinee',
  mark: 'm',
  course: courseOf(of, set),
  events: [],
  clock: clockAt(START_MS),
});
const with_ = (bench: Bench, event: BenchEvent): Bench => ({ ...bench, events: [...bench.events, event] });
/** Pressed at a moment, what it waits for waited for. */
function pressed(bench: Bench, at_ms: number): { bench: Bench; at_ms: number } {
  const made = press(bench, at_ms, 'key');
  if ('event' in made) return { bench: with_(bench, made.event), at_ms };
  if (made.refused === 'waits') return pressed(bench, made.until_ms);
  throw new Error(made.refused);
}
/** The sitting at the table up to so many presses, each as long after the one before as it says. */
function worked(presses: number, after_ms: (i: number) => number, from = laid()) {
  let now = { bench: from, at_ms: START_MS };
  for (let i = 0; i < presses; i += 1) now = pressed(now.bench, now.at_ms + after_ms(i));
  return now;
}

describe('the course of a table', () => {
  it('has all the work of the sitting once, and each piece as long as it was planned', () => {
    const { course } = laid();
    const pieces = course.flatMap((round) => round.pieces);
    expect(pieces.map(({ operation }) => operation).sort()).toEqual(
      [
        ...plan.sitting.strokes.map(({ operation }) => operation),
        ...plan.sitting.loads.filter(({ held }) => held).flatMap(({ operations }) => operations),
      ].sort(),
    );
    const loads = course.filter(({ kind }) => kind === 'load').flatMap(({ operations }) => operations);
    expect(loads.sort()).toEqual(
      plan.sitting.loads
        .filter(({ held }) => !held)
        .flatMap(({ operations }) => operations)
        .sort(),
    );
    expect(Bench.safeParse(laid()).success).toBe(true);
  });
});

describe('a sitting at the table', () => {
  it('goes from the first round to the last, one press each; nothing is skipped, and the record is whole', () => {
    const { bench } = worked(laid().course.length + 2, () => 20_000);
    const table = atTable(bench, START_MS + 1e8);
    expect([table.now, table.ended, table.done]).toEqual([undefined, true, laid().course.length]);
    const begun = begunOf(bench, START_MS + 1e8)!;
    const placed = [...begun.strokes, ...begun.wipes].map(({ operation }) => operation);
    expect(new Set(placed).size).toBe(placed.length);
    expect(placed.length).toBe(plan.sitting.strokes.length);
    expect(begun.loads.flatMap(({ operations }) => operations).sort()).toEqual(
      plan.sitting.loads.flatMap(({ operations }) => operations).sort(),
    );
    expect(Bench.safeParse(bench).success).toBe(true);
  });

  it('a press that comes twice, and one while the hand is in the lamp, do nothing and say why', () => {
    const first = worked(1, () => 1000);
    expect(press(first.bench, first.at_ms + 100, 'pedal')).toEqual({ refused: 'twice' });
    // Up to the first load, and past it to work on a hand that is in the lamp.
    let now = first;
    while (!atTable(now.bench, now.at_ms + 500).waitsFor) now = pressed(now.bench, now.at_ms + 500);
    const refused = press(now.bench, now.at_ms + 500, 'tap');
    expect(refused).toMatchObject({ refused: 'waits' });
    const { waitsFor } = atTable(now.bench, now.at_ms + 500);
    expect(press(now.bench, waitsFor!.until_ms + 1, 'tap')).toHaveProperty('event');
  });

  it('a wrong press is taken back: the work stands there again, and again once more', () => {
    const { bench, at_ms } = worked(6, () => 30_000);
    const before = atTable(bench, at_ms);
    const on = pressed(bench, at_ms + 30_000);
    const back = with_(on.bench, takeBack(on.bench, on.at_ms + 50)!);
    expect(atTable(back, on.at_ms + 100).now).toEqual(before.now);
    const further = with_(back, takeBack(back, on.at_ms + 200)!);
    expect(atTable(further, on.at_ms + 300).done).toBe(before.done - 1);
    // And it may be pressed at once.
    expect(press(back, on.at_ms + 100, 'key')).toHaveProperty('event');
    expect(takeBack({ ...bench, events: [] }, 0)).toBeUndefined();
  });

  it('a light that is cut short is told with what it gave, and not once it was given again', () => {
    let now = worked(1, () => 1000);
    while (now.bench.events.at(-1)!.what !== 'lit') now = pressed(now.bench, now.at_ms + 20_000);
    const of = now.bench.events.length - 1;
    const cut = cutShort(now.bench, of, 'door', now.at_ms + 23_000)!;
    const bench = with_(now.bench, cut);
    const table = atTable(bench, now.at_ms + 24_000);
    expect(table.short).toMatchObject([{ event: of, given_s: 23 }]);
    expect(table.timers.filter(({ kind }) => kind === 'light')).toEqual([]);
    expect(begunOf(bench, now.at_ms + 24_000)!.loads.at(-1)!.end_s).toBeCloseTo(
      begunOf(bench, now.at_ms + 24_000)!.loads.at(-1)!.start_s + 23,
      2,
    );
    const relit = with_(bench, again(bench, of, now.at_ms + 25_000)!);
    expect(atTable(relit, now.at_ms + 26_000).short).toEqual([]);
    // One that has had its time cannot be cut short any more.
    expect(cutShort(now.bench, of, 'door', now.at_ms + 1e6)).toBeUndefined();
  });

  it('says what must follow soon, until it has followed', () => {
    let now = worked(1, () => 1000);
    const primed = () =>
      atTable(now.bench, now.at_ms + 100).timers.filter(({ words }) => words === 'Covered');
    let seen = false;
    for (let i = 0; i < 30; i += 1) {
      now = pressed(now.bench, now.at_ms + 15_000);
      if (primed().length > 0) seen = true;
    }
    expect(seen).toBe(true);
    const all = worked(laid().course.length + 1, () => 15_000);
    expect(atTable(all.bench, all.at_ms + 100).timers.filter(({ kind }) => kind === 'window')).toEqual([]);
  });

  it('begun late and worked at any pace, the rest is planned from it without a fault', () => {
    const big = planSet(curtainUp(), { effort: { iterations: 300 }, fixes: false });
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 60 }), fc.integer({ min: 100, max: 150 }), (presses, pace) => {
        const course = laid(big);
        const { bench, at_ms } = worked(
          presses,
          // As long as each was planned, by the artist's pace.
          (i) => (i === 0 ? 0 : Math.max(500, pace * 10 * secondsOf(course, i - 1))),
          course,
        );
        const begun = begunOf(bench, at_ms)!;
        const on = planSet(curtainUp(), { effort: { iterations: 100 }, fixes: false, begun });
        expect(on.sitting.missing).toEqual([]);
        // What is still to come keeps every rule of the table that can still be kept.
        const past = new Set(
          [
            ...begun.strokes,
            ...begun.loads.flatMap((load) => load.operations.map((operation) => ({ operation }))),
          ].map(({ operation }) => operation),
        );
        const known = new Set(on.sitting.broken.map(({ operation }) => operation));
        const later = checkSitting(factsOf(curtainUp(), on)).filter(
          ({ id }) => !past.has(id) && !known.has(id),
        );
        expect(later).toEqual([]);
      }),
      { numRuns: runs(2, 20) },
    );
  });
});

function secondsOf({ course }: Bench, i: number): number {
  const round = course[i];
  return round?.kind === 'work' ? round.pieces.reduce((sum, { seconds }) => sum + seconds, 0) : 2;
}

describe('the bench’s own time', () => {
  it('is right to 0.2 s after an hour with ten reloads, a sleep and a clock that was put back', () => {
    let clock = clockAt(START_MS);
    let true_ms = START_MS;
    let wall_ms = START_MS;
    const pass = (ms: number) => {
      true_ms += ms;
      wall_ms += ms;
      clock = looked(clock, wall_ms);
    };
    for (let i = 0; i < 10; i += 1) {
      // Looked at often; a reload only leaves a gap.
      for (let t = 0; t < 300; t += 1) pass(200);
      pass(1700);
      if (i === 4) {
        // Put back an hour, between two looks.
        wall_ms -= 3_600_000;
        pass(200);
      }
      if (i === 6) pass(900_000);
    }
    expect(Math.abs(timeOf(clock) - true_ms)).toBeLessThanOrEqual(200 + 1);
  });

  it('is right again once a clock that had lost its time is set: 1970 and back is no sitting of fifty years', () => {
    let clock = looked(clockAt(START_MS), START_MS + 10_000);
    clock = looked(clock, 5000);
    expect(timeOf(clock)).toBe(START_MS + 10_000);
    clock = looked(clock, 65_000);
    expect(timeOf(clock)).toBe(START_MS + 70_000);
    clock = looked(clock, START_MS + 71_000);
    expect(timeOf(clock)).toBe(START_MS + 71_000);
  });

  it('never runs backward, whatever the clock shows', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: -4_000_000, max: 4_000_000 }), { maxLength: 40 }), (steps) => {
        let clock = clockAt(START_MS);
        let wall = START_MS;
        for (const step of steps) {
          const before = timeOf(clock);
          wall = Math.max(0, wall + step);
          clock = looked(clock, wall);
          expect(timeOf(clock)).toBeGreaterThanOrEqual(before - 50);
        }
      }),
    );
  });
});

describe('a pass in one press', () => {
  it('is done up to its light or its first rest, as if each were pressed', () => {
    let now = worked(1, () => 1000);
    let rounds = 0;
    let presses = 0;
    while (!atTable(now.bench, now.at_ms).ended && presses < 400) {
      const before = atTable(now.bench, now.at_ms);
      const rest = restOfPass(before);
      const made = press(now.bench, now.at_ms + 30_000, 'tap', { whole: true });
      if ('refused' in made) {
        if (made.refused !== 'waits') throw new Error(made.refused);
        now = { ...now, at_ms: made.until_ms };
        continue;
      }
      presses += 1;
      now = { bench: with_(now.bench, made.event), at_ms: now.at_ms + 30_000 };
      const after = atTable(now.bench, now.at_ms);
      if (made.event.what === 'done') {
        expect(after.done - before.done).toBe(rest.length);
        expect(new Set(rest.map(({ pass }) => pass?.number)).size).toBe(1);
        // A rest is of the nails that were done last, and of no others.
        if (made.event.rest_s) expect(rest).toHaveLength(1);
        rounds += rest.length;
      }
    }
    expect(rounds).toBe(laid().course.filter(({ kind }) => kind === 'work').length);
    expect(presses).toBeLessThan(laid().course.length);
    expect(Bench.safeParse(now.bench).success).toBe(true);
    expect(begunOf(now.bench, now.at_ms)!.strokes.length).toBe(plan.sitting.strokes.length);
  });

  it('a course of before passes were kept is pressed step by step', () => {
    const course = laid().course.map(({ pass, ...round }) => (expect(pass).toBeDefined(), round));
    const { bench, at_ms } = worked(1, () => 1000, { ...laid(), course });
    expect(Bench.safeParse(bench).success).toBe(true);
    expect(restOfPass(atTable(bench, at_ms))).toHaveLength(1);
  });
});
