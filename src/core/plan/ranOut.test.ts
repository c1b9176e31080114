import { curtainUp } from '../demo/curtainUp';
import { applyChange } from '../document/changes';
import { begunAt } from '../timing/begun';
import { planSet } from './planSet';
import { couldReplace, ranOut } from './ranOut';

const set = curtainUp();
const plan = planSet(set, { effort: { iterations: 200 }, fixes: false });
const of = (operations: readonly { product?: string }[], product: string) =>
  operations.filter((one) => one.product === product).length;

describe('a colour that ran out', () => {
  it('is another on every nail that has none of it yet; what is begun keeps its own', () => {
    // Half-way: some nails have their velvet, others not.
    const coats = plan.sitting.strokes.filter(({ operation }) => {
      const nail = operation.split('/')[0] as keyof typeof plan.operations;
      return plan.operations[nail].some(({ id, product }) => id === operation && product === 'velvet-04');
    });
    const now_s = coats[Math.floor(coats.length / 3)]!.end_s;
    const begun = begunAt(plan.sitting, now_s);
    const done = new Set(begun.strokes.map(({ operation }) => operation));
    const { change, begun: nails } = ranOut(set, 'velvet-04', 'plum-07', done);
    expect(nails.length).toBeGreaterThan(0);
    const next = applyChange(set, change!);
    if (!next.ok) throw new Error(next.faults[0]!.message);
    const on = planSet(next.value, { effort: { iterations: 200 }, fixes: false, begun });
    for (const nail of Object.keys(plan.operations) as (keyof typeof plan.operations)[]) {
      const before = of(plan.operations[nail], 'velvet-04');
      const kept = nails.includes(nail) ? before : 0;
      expect([nail, of(on.operations[nail], 'velvet-04')]).toEqual([nail, kept]);
    }
    expect(on.sitting.missing).toEqual([]);
    // What was done is still done by what it was done with.
    expect(on.sitting.strokes).toEqual(expect.arrayContaining(begun.strokes));
  });

  it('is of no matter where no nail has it', () => {
    expect(ranOut(set, 'sage-03', 'plum-07', new Set())).toEqual({ change: undefined, begun: [] });
  });

  it('could be the nearest of its family, as sheer as it is; none where none of it is left to do', () => {
    const names = couldReplace(set, 'velvet-04', new Set()).map(({ id }) => id);
    // Dark red: plum before ember, both long before lemon (by their published hex, CIEDE2000).
    expect(names.indexOf('plum-07')).toBeLessThan(names.indexOf('ember-12'));
    expect(names.indexOf('ember-12')).toBeLessThan(names.indexOf('lemon-05'));
    expect(names.at(-1)).toBe('blush-sheer');
    const all = new Set(Object.values(plan.operations).flatMap((one) => one.map(({ id }) => id)));
    expect(couldReplace(set, 'velvet-04', all)).toEqual([]);
  });
});
