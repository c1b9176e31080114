import { applyChange, type Change } from '../document/changes';
import type { SetDocument } from '../document/document';
import { DEMO_SETS } from '../demo';
import { chance, type Chance } from '../model/chance';
import { NAILS } from '../model/names';
import { ranOut } from '../plan/ranOut';
import { newMemo, planSet, type Plan, type PlanMemo } from '../plan/planSet';
import { factsOf, ofWornNails } from '../testing/facts';
import { randomSet } from '../testing/randomLooks';
import { runs } from '../testing/runs';
import { checkSitting, TOLD_AS } from '../testing/sittingChecker';
import { againOn, leftOutOn, spillWiped } from './instead';
import { clockAt } from './clock';
import { courseOf } from './course';
import type { Bench, BenchEvent } from './log';
import { cutShort, press } from './presses';
import { atTable } from './atTable';
import { begunOf } from './begun';
import { couldBeFirst, progressOf } from './progress';

/* A sitting at the table, worked at any pace up to any moment; something happens, and the rest is planned from there. */

const effort = { iterations: 120 };

/** And of a form that is never taken off the plan says that. */
const TOLD: typeof TOLD_AS = { ...TOLD_AS, 'forms-on-both': 'left-on' };

interface Table {
  set: SetDocument;
  plan: Plan;
  bench: Bench;
  now_ms: number;
}

/** The same sets come again: what is planned of a nail is planned once. */
const memos = new Map<string, PlanMemo>();

function planned(set: SetDocument, begun?: ReturnType<typeof begunOf>): Plan {
  const memo = memos.get(set.id) ?? newMemo();
  memos.set(set.id, memo);
  return planSet(set, { effort, fixes: false, memo, begun });
}

const written = (table: Table, ...events: BenchEvent[]): Table => ({
  ...table,
  bench: { ...table.bench, events: [...table.bench.events, ...events] },
});

/** One press, some share of its planned time after the one before; what it waits for is waited for. */
function pressed(table: Table, share: number, first?: string): Table {
  const round = progressOf(table.bench, first).now;
  const takes_s = round?.kind === 'work' ? round.pieces.reduce((sum, one) => sum + one.seconds, 0) : 3;
  const waits = atTable(table.bench, table.now_ms, progressOf(table.bench, first)).waitsFor;
  const now_ms = Math.round(
    Math.max(table.now_ms, waits?.until_ms ?? 0) + Math.max(500, takes_s * 1000 * share),
  );
  const made = press(table.bench, now_ms, 'key', { first });
  return 'event' in made ? { ...written(table, made.event), now_ms } : { ...table, now_ms };
}

interface Trouble {
  table: Table;
  change?: Change | undefined;
}

/** What may happen; each gives the table after it, and what of the set is other from there on. */
const TROUBLES: Record<string, (table: Table, by: Chance) => Trouble> = {
  nothing: (table) => ({ table }),
  'left out': (table, by) => {
    const { now } = progressOf(table.bench);
    const nail = now && by.pick(now.nails);
    return { table, change: nail && leftOutOn(table.plan.operations[nail], now.operations) };
  },
  'a spill': (table, by) => {
    const { now } = progressOf(table.bench);
    const nail = now && by.pick(now.nails);
    return { table, change: nail && spillWiped(table.plan.operations[nail], now.operations) };
  },
  'a break': (table, by) => {
    const until_ms = table.now_ms + 60_000 * (1 + by.below(20));
    return {
      table: {
        ...written(table, { what: 'paused', at_ms: table.now_ms }, { what: 'resumed', at_ms: until_ms }),
        now_ms: until_ms,
      },
    };
  },
  'a light cut short': (table, by) => {
    const light = atTable(table.bench, table.now_ms).timers.find(({ kind }) => kind === 'light');
    const now_ms = table.now_ms + 1000 * by.below(10);
    const event = light && cutShort(table.bench, light.event!, 'door', now_ms);
    return { table: event ? { ...written(table, event), now_ms } : table };
  },
  'done again': (table, by) => {
    const done = table.bench.events.findLast((one) => one.what === 'done');
    const nails = [...new Set(done?.pieces.map(({ operation }) => operation.split('/')[0]!))];
    const nail = NAILS.find((one) => one === by.pick(nails));
    const again = nail && againOn(table.plan.operations[nail], progressOf(table.bench).ended_ms);
    if (!again) return { table };
    const { undone } = again;
    return {
      table:
        undone.length > 0
          ? written(table, { what: 'undone', at_ms: table.now_ms, words: 'Again', operations: undone })
          : table,
      change: again.change,
    };
  },
  'a nail broke': (table, by) => ({
    table,
    change: { kind: 'in-work', nails: [by.pick(NAILS)], in_work: false },
  }),
  'a colour ran out': (table, by) => {
    const { products } = table.set.kit;
    const of = by.pick(products);
    const others = products.filter(({ id, family }) => family === of.family && id !== of.id);
    const done = new Set(progressOf(table.bench).ended_ms.keys());
    return {
      table,
      change: others.length > 0 ? ranOut(table.set, of.id, by.pick(others).id, done).change : undefined,
    };
  },
  'another round first': (table, by) => {
    const open = couldBeFirst(progressOf(table.bench)).filter(({ kind }) => kind === 'work');
    const first = open.length > 0 ? by.pick(open).operations[0] : undefined;
    return { table: first ? pressed(table, 1, first) : table };
  },
};

const DEMOS = DEMO_SETS.filter(({ id }) => id !== 'understudy').map((demo) => demo.make());

function anySitting(by: Chance, seed: number): SetDocument {
  if (by.below(2) === 0) return by.pick(DEMOS);
  return { ...randomSet(by), id: `random-${seed}`, edits: [] };
}

const moments = runs(3, 500);

it(`from ${moments} moments of any sitting, whatever happens: what is done stands, what can be kept is kept, the rest is told`, () => {
  const met = new Map<string, number>();
  for (let seed = 1; seed <= moments; seed += 1) {
    const by = chance(4000 + seed);
    const set = anySitting(by, seed);
    const plan = planned(set);
    const start_ms = 1_800_000_000_000;
    let table: Table = {
      set,
      plan,
      now_ms: start_ms,
      bench: {
        set: set.id,
        mark: '',
        course: courseOf(plan, set),
        events: [{ what: 'begun', at_ms: start_ms }],
        clock: clockAt(start_ms),
      },
    };
    const presses = by.below(table.bench.course.length);
    for (let i = 0; i < presses; i += 1) table = pressed(table, 0.5 + by.next() * 1.2);
    const what = by.pick(Object.keys(TROUBLES));
    const trouble = TROUBLES[what]!(table, by);
    const changed = trouble.change ? applyChange(set, trouble.change) : undefined;
    const after = changed?.ok ? changed.value : set;
    if (changed) expect([seed, what, changed.ok]).toEqual([seed, what, true]);
    met.set(what, (met.get(what) ?? 0) + 1);
    const { bench, now_ms } = trouble.table;
    const begun = begunOf(bench, now_ms)!;
    const on = planned(after, begun);
    const { sitting } = on;
    const tell = [seed, what, set.id];

    // What is done stands as it was done.
    expect([tell, sitting.loads.slice(0, begun.loads.length)]).toEqual([tell, begun.loads]);
    const kept = new Map(sitting.strokes.map((stroke) => [stroke.operation, stroke]));
    for (const stroke of [...begun.strokes, ...begun.wipes])
      expect([tell, kept.get(stroke.operation)]).toMatchObject([
        tell,
        { start_s: stroke.start_s, end_s: stroke.end_s },
      ]);
    // All the rest has its place, after this moment.
    expect([tell, sitting.missing]).toEqual([tell, []]);
    const past = new Set([
      ...begun.strokes.map(({ operation }) => operation),
      ...begun.wipes.map(({ operation }) => operation),
      ...begun.loads.flatMap(({ operations }) => operations),
    ]);
    for (const { operation, start_s } of sitting.strokes)
      if (!past.has(operation)) expect([tell, start_s >= begun.now_s]).toEqual([tell, true]);
    // No rule that can still be kept is broken untold.
    const told = new Set<string>([
      ...sitting.broken.map(({ kind }) => kind),
      ...on.findings.map(({ code }) => code),
    ]);
    const untold = checkSitting(ofWornNails(factsOf(after, on))).filter(
      ({ id, rule }) => !past.has(id) && !told.has(TOLD[rule] ?? ''),
    );
    expect([tell, untold]).toEqual([tell, []]);
    // Nothing is quicker than the bound.
    expect([tell, sitting.lower_bound_s <= sitting.total_s + 1e-6]).toEqual([tell, true]);
  }
  if (moments >= 100) for (const kind of Object.keys(TROUBLES)) expect(met.get(kind)).toBeGreaterThan(5);
});
