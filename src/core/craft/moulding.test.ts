import { compileNail } from '../compile/compile';
import { planSet } from '../plan/planSet';
import { element, findingsOn, pick, QUICK, setWearing } from '../testing/sets';
import { techniqueOf, type Element } from './techniques';

const ground = element('colour', { id: 'ground', product: 'ivory-02' });
const made = (key: string) =>
  techniqueOf('charm')
    .also!.find((one) => one.key === key)!
    .fresh('flower', pick) as Extract<Element, { kind: 'charm' }>;
const own = (one: Element) =>
  compileNail(setWearing([ground, one]), 'left-ring').operations.filter(({ element: of }) => of === 'flower');

describe('a flower moulded ahead', () => {
  it('has its own making as steps, before the hand is taken up', () => {
    const steps = own(made('moulded-flower'));
    expect(steps.map(({ step }) => step)).toEqual(['fill', 'take-out', 'bead', 'set', 'flash']);
    expect(steps.slice(0, 2).every(({ stage }) => stage === 'ahead')).toBe(true);
    expect(steps[0]!.wait_s).toBeGreaterThan(0);
    expect(steps[1]!.caution).toMatch(/mask/);
  });

  it('waits out its mould, and is set after', () => {
    const set = setWearing([ground, made('moulded-flower')]);
    const plan = planSet(set, QUICK);
    const at = (step: string) =>
      plan.sitting.strokes.find(({ operation }) => operation === `left-ring/flower/${step}#1`)!;
    const [fill] = own(made('moulded-flower'));
    expect(at('take-out').start_s - at('fill').end_s).toBeGreaterThanOrEqual(fill!.wait_s! - 0.01);
    expect(at('set').start_s).toBeGreaterThan(at('take-out').end_s);
    expect(plan.findings.filter(({ severity }) => severity === 'stop')).toEqual([]);
  });

  it('of acrylic sets by itself; ready-made there is nothing to make', () => {
    expect(own({ ...made('moulded-flower'), moulded: 'acrylic-blush' })[0]).toMatchObject({ wait_s: 300 });
    expect(own({ ...made('moulded-flower'), moulded: null })[0]!.step).toBe('bead');
  });

  it('has the colour it is made of', () => {
    const piece = own({ ...made('moulded-flower'), moulded: 'putty-blush' }).find(
      ({ step }) => step === 'set',
    )!;
    expect(piece.deposit).toMatchObject({ pieces: [{ colour: '#dca998', metallic: false }] });
  });
});

describe('a stone that is painted over', () => {
  it('is held first, and has a light of its own', () => {
    const steps = own(made('cabochon')).map(({ step }) => step);
    expect(steps.slice(-2)).toEqual(['paint', 'cure-paint']);
    expect(steps.indexOf('flash')).toBeLessThan(steps.indexOf('paint'));
    expect(
      findingsOn(setWearing([ground, made('cabochon')])).filter(({ severity }) => severity !== 'note'),
    ).toEqual([]);
  });

  it('before its bead has seen light is told', () => {
    const set = setWearing([ground, made('cabochon')], (one) => {
      one.edits = [{ kind: 'skip', a: 'left-ring/flower/flash#1' }];
    });
    expect(findingsOn(set).map(({ code }) => code)).toContain('uncured-covered');
  });
});
