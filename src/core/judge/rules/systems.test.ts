import { planSet } from '../../plan/planSet';
import { element, QUICK, setWearing } from '../../testing/sets';

const told = (systems: Record<string, string>) =>
  planSet(
    setWearing([element('colour')], (set) => {
      for (const product of set.kit.products) if (systems[product.id]) product.system = systems[product.id]!;
    }),
    QUICK,
  ).findings.filter((one) => one.code === 'systems-mixed');

describe('systems of lamp products', () => {
  it('are not spoken of where they are one, or not noted, or not used', () => {
    expect(told({})).toEqual([]);
    expect(told({ 'base-a': 'Stage', 'top-a': 'Stage' })).toEqual([]);
    expect(told({ 'base-a': 'Stage', 'putty-a': 'House' })).toEqual([]);
    expect(told({ 'base-a': 'Stage', 'oil-a': 'House' })).toEqual([]);
  });

  it('are told once where two are on one set', () => {
    const [finding, ...more] = told({ 'base-a': 'Stage', 'velvet-04': 'Stage', 'top-a': 'House' });
    expect(more).toEqual([]);
    expect(finding).toMatchObject({ severity: 'note' });
    expect(finding!.message).toMatch(/^No-wipe top A is of another system \(House\)|^Base A is of another/);
  });
});
