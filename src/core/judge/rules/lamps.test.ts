import { planSet } from '../../plan/planSet';
import { applyChange } from '../../document/changes';
import type { SetDocument } from '../../document/document';
import { element, QUICK, setWearing } from '../../testing/sets';

const told = (change: (set: SetDocument) => void) => {
  const set = setWearing([element('colour')], change);
  return { set, plan: planSet(set, { ...QUICK, fixes: true }) };
};

describe('the lamps of a set', () => {
  it('give what the products ask for, where it is noted', () => {
    const uvBase = (set: SetDocument) => {
      const base = set.kit.products.find((one) => one.id === 'base-a')!;
      base.lamp = { ...base.lamp!, light: 'uv' };
    };
    const led = (set: SetDocument) => (set.kit.lamps[0]!.light = 'led');
    // Where nothing is noted of the lamp, nothing is said.
    expect(told(uvBase).plan.findings.some((one) => one.code === 'no-light')).toBe(false);
    const { set, plan } = told((one) => {
      uvBase(one);
      led(one);
    });
    const finding = plan.findings.find((one) => one.code === 'no-light')!;
    expect(finding.message).toBe('Base A hardens in UV light, and no lamp of this set gives it.');
    expect(finding.severity).toBe('stop');
    const mended = applyChange(set, finding.fix!.change);
    if (!mended.ok) throw new Error('refused');
    expect(planSet(mended.value, QUICK).findings.some((one) => one.code === 'no-light')).toBe(false);
    // A second lamp that gives it is as good.
    const two = told((one) => {
      uvBase(one);
      led(one);
      one.kit.lamps.push({ id: 'b', name: 'B', programmes_s: [120], light: 'uv' });
    });
    expect(two.plan.findings.some((one) => one.code === 'no-light')).toBe(false);
  });

  it('a torch takes only what is held to it, and frees the table lamp', () => {
    const tips = (set: SetDocument) => {
      for (const nail of Object.values(set.nails)) nail.build = 'tips';
      set.kit.lamps.push({ id: 'torch', name: 'Torch', programmes_s: [], torch: true });
    };
    const { plan } = told(tips);
    const by = (lamp: string) => plan.sitting.loads.filter((load) => load.lamp === lamp);
    expect(by('torch').length).toBeGreaterThan(0);
    expect(by('torch').every((load) => load.held)).toBe(true);
    expect(by('lamp-a').some((load) => !load.held)).toBe(true);
  });

  it('a torch alone lights everything', () => {
    const { plan } = told((set) => {
      set.kit.lamps = [{ id: 'torch', name: 'Torch', programmes_s: [], torch: true }];
    });
    expect(plan.sitting.loads.length).toBeGreaterThan(0);
    expect(Number.isFinite(plan.sitting.total_s)).toBe(true);
  });
});
