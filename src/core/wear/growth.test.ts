import { flyTower } from '../demo/flyTower';
import { curtainUp } from '../demo/curtainUp';
import { NAILS } from '../model/names';
import type { NailFacts, WearNote, Worn } from '../model/wear';
import { Worn as WornSchema } from '../model/wear';
import { planSet } from '../plan/planSet';
import { QUICK } from '../testing/sets';
import { daysBetween, GROUPINGS, wornNails } from './held';
import { dueOf, growthOf, PUBLISHED } from './growth';
import { infillOf } from './infill';
import { wornOf } from './facts';

const set = curtainUp();
const plan = planSet(set, QUICK);
const worn = wornOf(set, plan, { on: '2026-03-01' });
const note = (over: Partial<WearNote> = {}): WearNote => ({
  on: '2026-03-15',
  what: 'lifted',
  at: null,
  much: null,
  felt: [],
  note: '',
  photo: null,
  causes: [],
  ...over,
});
const noted = (nail: (typeof NAILS)[number], ...notes: WearNote[]): Worn => ({
  ...worn,
  nails: { ...worn.nails, [nail]: { ...worn.nails[nail]!, notes } },
});

describe('what was done on a nail', () => {
  it('is what the plan says where no log says otherwise, and a record that a store holds', () => {
    expect(WornSchema.safeParse(worn).error).toBeUndefined();
    for (const name of NAILS) {
      const facts: NailFacts = worn.nails[name]!.facts;
      expect([facts.buffed, facts.dehydrated, facts.primed, facts.capped]).toEqual([true, true, true, true]);
      expect(facts.left_out).toEqual([]);
      expect(facts.primed_to_wet_s).toBeLessThan(300);
      expect(facts.tip_spare_mm).toBeGreaterThanOrEqual(-0.05);
    }
  });

  it('is what the log says: a step that was left out, a light that was cut short', () => {
    const ring = plan.operations['left-ring'];
    const prime = ring.find(({ verb }) => verb === 'prime')!.id;
    const cure = ring.find(({ verb }) => verb === 'cure')!.id;
    const done = ring
      .filter(({ id, lamp }) => id !== prime && !lamp)
      .map(({ id }, i) => ({
        what: 'done' as const,
        at_ms: (i + 1) * 60_000,
        from_ms: i * 60_000,
        words: '',
        by: 'key' as const,
        pieces: [{ operation: id, seconds: 30 }],
      }));
    const lit = {
      what: 'lit' as const,
      at_ms: 9_000_000,
      words: '',
      lamp: 'lamp',
      mode: 'cure' as const,
      seconds: 60,
      nails: ['left-ring' as const],
      operations: [cure],
    };
    const events = [
      ...done,
      lit,
      { what: 'cut-short' as const, at_ms: 9_024_000, of: done.length, why: 'door' as const },
    ];
    const { facts } = wornOf(set, plan, { on: '2026-03-01', bench: { events } }).nails['left-ring']!;
    expect(facts).toMatchObject({ primed: false, least_light: 0.4, dehydrated: true });
    expect(facts.left_out).toEqual(['prime']);
  });
});

describe('growing out', () => {
  it('goes by the published rate (Yaemsiri et al. 2010: 3.47 mm a month), until it is measured on these hands', () => {
    expect(PUBLISHED.mm_a_day * 30.4375).toBeCloseTo(3.47, 6);
    expect(growthOf([worn])).toEqual(PUBLISHED);
    const own = growthOf([noted('left-ring', note({ what: 'grown-out', grown_mm: 2.1, on: '2026-03-22' }))]);
    expect(own).toEqual({ mm_a_day: 0.1, measured: true });
    // In three days a caliper sees nothing.
    expect(growthOf([noted('left-ring', note({ grown_mm: 1, on: '2026-03-04' }))])).toEqual(PUBLISHED);
  });

  it('is due by what is on it', () => {
    const long = flyTower();
    const due = dueOf(wornOf(long, planSet(long, QUICK), { on: '2026-03-01' }), PUBLISHED)!;
    expect(due.from > '2026-03-01' && due.to > due.from).toBe(true);
    expect(due.why).toContain('at the usual rate');
  });

  it('the infill begins with what is there: nails that fell are made new beside those that are filled', () => {
    const broken = noted('right-index', note({ what: 'fell' }));
    const next = infillOf(set, broken, '2026-03-22', { mm_a_day: 0.1, measured: true });
    expect(next.nails['right-index'].start).toEqual({ kind: 'bare', dull: false });
    expect(next.nails['left-ring'].start).toEqual({
      kind: 'infill',
      weeks: 3,
      gap_mm: 2.1,
      mend: 'no',
      stones: expect.any(Boolean) as boolean,
    });
    // What broke and stays is mended, of several the last that was noted; the artist may say otherwise.
    const cracked = noted(
      'left-ring',
      note({ on: '2026-03-08' }),
      note({ on: '2026-03-15', what: 'cracked', much: 'a little' }),
    );
    const rate = { mm_a_day: 0.1, measured: true };
    const starts = (way?: 'fill' | 'new') =>
      infillOf(set, cracked, '2026-03-22', rate, way && (() => way)).nails['left-ring'].start;
    expect(starts()).toMatchObject({ kind: 'infill', mend: 'crack' });
    expect(starts('fill')).toMatchObject({ kind: 'infill', mend: 'no' });
    expect(starts('new')).toEqual({ kind: 'bare', dull: false });
    expect(next).toMatchObject({ state: 'planned', offered: null, appointment: { on: '2026-03-22' } });
    const planned = planSet(next, QUICK);
    expect(planned.operations['left-ring'].some(({ verb }) => verb === 'file-back')).toBe(true);
    expect(planned.operations['right-index'].some(({ verb }) => verb === 'file-back')).toBe(false);
    expect(planned.findings.filter(({ severity }) => severity === 'stop')).toEqual([]);
  });
});

describe('how long each nail held', () => {
  it('is to the first day it failed, else to the day it came off, else to today', () => {
    const all = [noted('left-ring', note({ on: '2026-03-15' }), note({ on: '2026-03-11', what: 'chipped' }))];
    const of = (nail: string, today = '2026-03-31') =>
      wornNails(all, today).find((one) => one.nail === nail)!;
    expect(of('left-ring')).toMatchObject({ days: 10, failed: true });
    expect(of('right-ring')).toMatchObject({ days: 30, failed: false });
    const off = [{ ...all[0]!, off_on: '2026-03-21' }];
    expect(wornNails(off, '2026-04-30').find((one) => one.nail === 'right-ring')).toMatchObject({ days: 20 });
    // Growing out, and coming off on purpose, are no failure.
    const early = [
      noted('left-ring', note({ what: 'off-early' }), note({ what: 'grown-out', on: '2026-03-08' })),
    ];
    expect(wornNails(early, '2026-03-31').find((one) => one.nail === 'left-ring')).toMatchObject({
      days: 14,
      failed: false,
    });
    // Made on a day that has not come, nothing of it counts.
    expect(wornNails([{ ...worn, made_on: '2031-01-01' }], '2026-03-31')).toEqual([]);
    // Noted on a day that cannot be, it counts for nothing.
    const odd = [noted('left-ring', note({ on: '2026-02-20' }))];
    expect(wornNails(odd, '2026-03-31').find((one) => one.nail === 'left-ring')).toMatchObject({
      days: 30,
      failed: false,
    });
  });

  it('over the change of the clock and of the year in whole days; every grouping says something of every nail', () => {
    expect(daysBetween('2026-03-28', '2026-03-30')).toBe(2);
    expect(daysBetween('2026-12-31', '2027-01-01')).toBe(1);
    for (const { of } of Object.values(GROUPINGS))
      for (const one of wornNails([worn], '2026-04-01')) expect(of(one).length).toBeGreaterThan(0);
  });
});
