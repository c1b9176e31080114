import { compileNail } from '../compile/compile';
import { buildOf, frameOf } from '../document/nailContext';
import { buildKindOf } from '../craft/builds';
import { curtainUp } from '../demo/curtainUp';
import { flyTower } from '../demo/flyTower';
import { NAILS } from '../model/names';
import { planSet } from '../plan/planSet';
import { newCovers } from '../simulate/cover';
import { beginRun, nominalSteps, simulateNail } from '../simulate/simulate';
import { bodyOf } from '../simulate/strength';
import { QUICK } from '../testing/sets';
import { agingDays, agingOf, fieldGrownBy, profileOf, weakestOf } from './aging';
import { wornOf } from './facts';
import { PUBLISHED } from './growth';
import { infillOf } from './infill';

const RATE = { mm_a_day: 0.1, measured: true };
const long = flyTower();
const worn = wornOf(long, planSet(long, QUICK), { on: '2026-03-01' });

describe('a worn nail as it grows out', () => {
  it('carries less from week to week, and its thickest part travels', () => {
    const aging = agingOf(long, worn, [0, 14, 28, 42, 70], PUBLISHED);
    expect(aging.length).toBeGreaterThan(5);
    for (const { nail, by_day, bed_mm } of aging) {
      const carries = by_day.map((one) => one.carries);
      expect([nail, carries]).toEqual([nail, carries.toSorted((a, b) => b - a)]);
      expect(carries.at(-1)!).toBeLessThan(carries[0]!);
      // New it carries what its plan says.
      expect(carries[0]).toBe(worn.nails[nail]!.facts.carries);
      expect(by_day[3]!.apex_at_mm).toBeGreaterThanOrEqual(by_day[0]!.apex_at_mm);
      expect(by_day.map(({ gap_mm }) => gap_mm)).toEqual([0, 1.6, 3.2, 4.8, 8]);
      expect(bed_mm).toBeGreaterThan(5);
    }
    const weakest = weakestOf(aging)!;
    for (const { by_day } of aging)
      expect(by_day.at(-1)!.carries).toBeGreaterThanOrEqual(weakest.by_day.at(-1)!.carries);
  });

  it('levers on a free edge that is longer by what has grown: half as much again carries two thirds of it', () => {
    const name = 'left-middle';
    const nail = long.nails[name];
    const frame = frameOf(nail, buildOf(long, nail));
    const free_mm = frame.length_mm - frame.bed_mm;
    const [first, last] = agingOf(long, worn, [0, (free_mm / 2) * 10], RATE).find(
      (one) => one.nail === name,
    )!.by_day;
    const section = bodyOf(fieldGrownBy(long, name, free_mm / 2)).carries;
    const before = bodyOf(fieldGrownBy(long, name, 0)).carries;
    expect(last!.carries / first!.carries).toBeCloseTo((section / before) * (2 / 3), 1);
  });

  it('moves whole: what lay so far from the cuticle lies so much further, and before it the plate is bare', () => {
    const gap_mm = 3;
    for (const set of [long, curtainUp()]) {
      const bed_mm = frameOf(set.nails['left-ring'], buildOf(set, set.nails['left-ring'])).bed_mm;
      const [then, now] = [0, gap_mm].map((gap) => profileOf(fieldGrownBy(set, 'left-ring', gap)));
      const at = (y_mm: number) => {
        const after = then!.findIndex((one) => one.y_mm >= y_mm);
        const [a, b] = [then![Math.max(0, after - 1)]!, then![after]!];
        const share = a === b ? 0 : (y_mm - a.y_mm) / (b.y_mm - a.y_mm);
        return a.over_mm + (b.over_mm - a.over_mm) * share;
      };
      for (const { y_mm, over_mm } of now!) {
        if (y_mm < gap_mm) expect(over_mm).toBe(0);
        // Past the bed the old free edge was filed; beside the cuticle it rises steeply.
        else if (y_mm > gap_mm + 1 && y_mm < bed_mm) expect(over_mm).toBeCloseTo(at(y_mm - gap_mm), 1);
      }
    }
  });

  it('its infill begins with just that, fills the gap, and brings the strength back', () => {
    const days = 28;
    const next = infillOf(long, worn, '2026-03-29', RATE);
    const plan = planSet(next, QUICK);
    expect(plan.findings.filter(({ severity }) => severity === 'stop')).toEqual([]);
    for (const name of NAILS) {
      if (!next.nails[name].in_work) continue;
      const compiled = compileNail(next, name);
      const { edge } = buildKindOf(buildOf(next, next.nails[name]).kind);
      const begun = beginRun(compiled, edge, newCovers()).field;
      expect(profileOf(begun)).toEqual(profileOf(fieldGrownBy(long, name, days * RATE.mm_a_day)));
      const done = simulateNail(compiled, edge, nominalSteps(compiled.operations)).field;
      for (const { y_mm, over_mm } of profileOf(done))
        if (y_mm > 1 && y_mm < days * RATE.mm_a_day)
          expect([name, y_mm, over_mm > 0]).toEqual([name, y_mm, true]);
      expect(bodyOf(done).carries).toBeGreaterThan(bodyOf(begun).carries);
    }
  });

  it('is looked at week by week, and on the day it is due', () => {
    expect(agingDays(28)).toEqual([0, 7, 14, 21, 28]);
    expect(agingDays(24)).toEqual([0, 7, 14, 21, 24]);
    expect(agingDays(0)).toEqual([1]);
  });
});
