import { curtainUp } from '../demo/curtainUp';
import { DEMO_SETS } from '../demo';
import { FAMILIES } from '../craft/families';
import { NAILS, type NailName } from '../model/names';
import { element, QUICK, setWearing } from '../testing/sets';
import { handWipeId, type HandWipe } from '../timing/problem';
import { inOrderOfUse } from './inOrderOfUse';
import { planNail } from './nailPlan';
import { planSet } from './planSet';
import { withHandWipes } from './handWipes';

describe('products in order of use', () => {
  it.each(DEMO_SETS.map((demo) => [demo.id, demo] as const))(
    '%s: all that is used, and nothing else',
    (_id, demo) => {
      const set = demo.make();
      const plan = planSet(set, QUICK);
      const all = NAILS.flatMap((nail) => plan.operations[nail]);
      const listed = inOrderOfUse(plan.rounds, all, set.kit.products);
      const used = new Set(
        all.flatMap((one) => [
          ...(one.product ? [one.product] : []),
          ...(one.paint?.kind === 'blend' ? one.paint.stops.map((stop) => stop.product) : []),
        ]),
      );
      expect(listed.map((product) => product.id).sort()).toEqual([...used].sort());
    },
  );

  it('base before colour, colour before top, oil last', () => {
    const set = setWearing([element('colour')]);
    const plan = planSet(set, QUICK);
    const listed = inOrderOfUse(
      plan.rounds,
      NAILS.flatMap((nail) => plan.operations[nail]),
      set.kit.products,
    );
    const at = (id: string) => listed.findIndex((product) => product.id === id);
    expect(at(set.kit.roles.base)).toBeLessThan(at('velvet-04'));
    expect(at('velvet-04')).toBeLessThan(at(set.kit.roles.top));
    expect(FAMILIES[listed.at(-1)!.family]).toBe(FAMILIES.oil);
  });
});

describe('wipes of the hand', () => {
  const set = curtainUp();
  const { compiled } = planNail(set, 'left-index');
  const after = compiled.operations[5]!;
  const wipeOn = (nail: NailName): HandWipe => ({
    operation: handWipeId(nail, 1),
    nail,
    hand: 'left',
    after: after.id,
    start_s: 0,
    end_s: 5,
    changeover_s: 0,
  });

  it('come right after the operation they follow, as an operation with its reason and caution', () => {
    const wipe = wipeOn('left-index');
    const next = withHandWipes(compiled, [wipe]);
    expect(next).toHaveLength(compiled.operations.length + 1);
    expect(next[6]).toMatchObject({
      id: wipe.operation,
      verb: 'wipe',
      product: set.kit.roles.cleanser,
      stage: after.stage,
    });
    expect(next[6]!.caution).toContain('Alcohol');
    expect(next.filter((one) => one.id !== wipe.operation)).toEqual(compiled.operations);
  });

  it('of other nails change nothing', () => {
    expect(withHandWipes(compiled, [wipeOn('left-ring')])).toBe(compiled.operations);
  });

  it('are in the plan exactly where the sitting has them', () => {
    const plan = planSet(set, QUICK);
    const planned = NAILS.flatMap((nail) => plan.operations[nail])
      .map((one) => one.id)
      .filter((id) => id.includes('/wipe-hand#'));
    const done = plan.sitting.strokes.map((one) => one.operation).filter((id) => id.includes('/wipe-hand#'));
    expect(planned.sort()).toEqual(done.sort());
  });
});
