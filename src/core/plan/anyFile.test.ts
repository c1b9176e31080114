import { DEMO_SETS } from '../demo';
import { parseSet, parseSetText, writeSetText } from '../document/parse';
import { NAILS } from '../model/names';
import { drawNail } from '../picture/nailPicture';
import { brokenFile } from '../testing/brokenFiles';
import { oldFiles } from '../../../tests/oldFiles';
import { chance } from '../model/chance';
import { setAtEveryLimit, QUICK } from '../testing/sets';
import { randomSet } from '../testing/randomLooks';
import { planNail } from './nailPlan';
import { planSet } from './planSet';
import { runs } from '../testing/runs';

/* A seeded sample; scripts/fuzz.ts runs ten thousand files and two thousand looks. */

type Json = Parameters<typeof brokenFile>[0];
const sources: Json[] = [
  ...(oldFiles() as Json[]),
  ...DEMO_SETS.map((demo) => JSON.parse(writeSetText(demo.make())) as Json),
];

describe('any file', () => {
  it('broken in its structure is refused with a path, or planned and drawn', () => {
    let planned = 0;
    let refused = 0;
    for (let seed = 1; seed <= runs(55, 250); seed += 1) {
      const by = chance(seed);
      const parsed = parseSet(brokenFile(by.pick(sources), by));
      if (!parsed.ok) {
        refused += 1;
        expect(parsed.faults[0]!.path).not.toBe('');
        expect(parsed.faults[0]!.message.length).toBeGreaterThan(5);
        continue;
      }
      planned += 1;
      const name = by.pick(NAILS);
      const plan = planNail(parsed.value, name);
      expect(plan.nominal.states).toHaveLength(plan.compiled.operations.length);
      if (planned % 10 === 0) {
        expect(JSON.parse(JSON.stringify(planSet(parsed.value, QUICK).findings))).toBeDefined();
        drawNail(plan.nominal.field, plan.compiled.context.product, 3);
      }
    }
    expect(planned).toBeGreaterThan(20);
    expect(refused).toBeGreaterThan(20);
  });
});

describe('any look an editor offers', () => {
  it('is planned, each film a number, each finding in words', () => {
    for (let seed = 1; seed <= runs(6, 25); seed += 1) {
      const set = randomSet(chance(seed));
      expect(parseSetText(writeSetText(set)).ok).toBe(true);
      const { findings, operations } = planSet(set, QUICK);
      for (const finding of findings) {
        expect(finding.message).not.toMatch(/NaN|undefined|Infinity|-0\b/);
        if (finding.figure) expect(Number.isFinite(finding.figure.value)).toBe(true);
      }
      const name = chance(seed).pick(NAILS);
      expect(new Set(operations[name].map((one) => one.id)).size).toBe(operations[name].length);
      for (const film of planNail(set, name).nominal.field.films)
        expect(film.t_um.every((t) => Number.isFinite(t) && t >= 0)).toBe(true);
    }
  });
});

describe('a set at every limit', () => {
  it('of elements, pieces and edits is planned, and tells a limited number of things', () => {
    const set = setAtEveryLimit();
    expect(parseSet(JSON.parse(JSON.stringify(set))).ok).toBe(true);
    const { findings } = planSet(set, QUICK);
    expect(findings.length).toBeGreaterThan(100);
    expect(findings.length).toBeLessThan(10_000);
  });
});
