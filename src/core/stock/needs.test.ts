import { buildKindOf, type Build } from '../craft/builds';
import { DEMO_SETS } from '../demo';
import { curtainUp } from '../demo/curtainUp';
import { NAILS } from '../model/names';
import { inOrderOfUse } from '../plan/inOrderOfUse';
import { planSet } from '../plan/planSet';
import { element, QUICK, setWearing } from '../testing/sets';
import { DOSES_UL, LIQUID_UL, lostOf } from './losses';
import { needsOf, type Need } from './needs';

const needsFor = (set: ReturnType<typeof setWearing>): Need[] => needsOf(set, planSet(set, QUICK));
const needOf = (needs: readonly Need[], key: string) => needs.find((one) => one.key === key);

/** A flat nail cut square: its area is width by length, so its films have closed forms. */
function flat(coats: number): ReturnType<typeof setWearing> {
  return setWearing([element('colour', { product: 'velvet-04', passes: coats })], (set) => {
    set.builds = set.builds.map((build) => ({ ...build, shape: 'square' }));
    for (const name of NAILS) {
      const { plate } = set.nails[name];
      set.nails[name].plate = { ...plate, width_mm: 10, arch_mm: 0, bed_mm: 12, free_edge_mm: 3 };
    }
  });
}

/** Ten nails sculpted on forms. */
function onForms(material: 'gel' | 'acrylic'): ReturnType<typeof setWearing> {
  const build = buildKindOf('sculpted-form').fresh('build');
  return setWearing([element('colour')], (set) => {
    set.builds = [material === 'acrylic' ? ({ ...build, material } as Build) : build];
    for (const name of NAILS) set.nails[name].build = 'build';
  });
}

describe('what a set takes', () => {
  it.each([1, 2, 3])('%d coats: the volume of an even film is its area by its thickness', (coats) => {
    const set = flat(coats);
    const plan = planSet(set, QUICK);
    const coat = set.kit.products.find(({ id }) => id === 'velvet-04')!;
    for (const nail of NAILS) {
      const laid = plan.operations[nail]
        .filter(({ product }) => product === 'velvet-04')
        .map(({ id }) => plan.laid_mm3[id]!);
      expect(laid).toHaveLength(coats);
      for (const mm3 of laid) {
        // Closed form: 10 mm by 15 mm by the coat; kept off the skin by half a mm at cuticle and sidewalls.
        const whole_mm3 = (10 * 15 * coat.coat_um!) / 1000;
        const inner_mm3 = (9 * 14.5 * coat.coat_um!) / 1000;
        expect(mm3).toBeGreaterThan(inner_mm3 * 0.93);
        expect(mm3).toBeLessThan(whole_mm3 * 1.03);
      }
    }
    const need = needOf(needsOf(set, plan), 'product velvet-04')!;
    const films = NAILS.flatMap((nail) => plan.operations[nail])
      .filter(({ product }) => product === 'velvet-04')
      .reduce((sum, { id }) => sum + plan.laid_mm3[id]!, 0);
    expect(need.on_nails).toBe(Math.round(films));
    expect(need.amount).toBe(Math.ceil(films / (1 - lostOf('gel-colour', undefined)) - 0.01));
  });

  it('dip is taken up with its base, a dose of it for each layer', () => {
    const set = setWearing([], (one) => {
      one.builds = [buildKindOf('dip').fresh('build')];
      for (const name of NAILS) one.nails[name].build = 'build';
    });
    const base = needOf(needsFor(set), 'product dip-base-a')!;
    // Three layers on ten nails.
    expect(base.amount).toBe(3 * 10 * LIQUID_UL);
    expect(needOf(needsFor(set), 'product dip-a')!.unit).toBe('mg');
    // A client's card that rules it out is looked at among all that is taken up, and it comes before its powder.
    const plan = planSet(set, QUICK);
    const used = inOrderOfUse(plan.rounds, Object.values(plan.operations).flat(), set.kit.products).map(
      ({ id }) => id,
    );
    expect(used.indexOf('dip-base-a')).toBeGreaterThanOrEqual(0);
    expect(used.indexOf('dip-base-a')).toBeLessThan(used.indexOf('dip-a'));
  });

  it.each(['client', 'own'] as const)(
    'old gel takes remover, a dose for each time a nail is wrapped (%s)',
    (wearer) => {
      const set = setWearing([element('colour')], (one) => {
        one.practice.wearer = wearer;
        for (const name of NAILS)
          one.nails[name].start = { kind: 'removal', product: 'gel', soak_s: 720, stones: false };
      });
      expect(needOf(needsFor(set), 'product remover-a')!.amount).toBe(2 * 10 * DOSES_UL.soak!);
    },
  );

  it('a bottle of 8 mL covers as many nails as the trade says: some five hundred in one coat', () => {
    // From memory: 15 mL of colour last about fifty sets of two coats, that is a thousand nails; 8 mL then 530.
    const need = needOf(needsFor(curtainUp()), 'product base-a')!;
    const nails = 8000 / (need.amount / 10);
    expect(nails).toBeGreaterThan(400);
    expect(nails).toBeLessThan(700);
  });

  it('one brush load is enough for the thin base of five nails', () => {
    // From memory: a bottle’s brush carries 20 to 40 µL. A thin base is 30 µm.
    const set = setWearing([element('colour')], (one) => {
      one.kit.products = one.kit.products.map((product) =>
        product.id === one.kit.roles.base ? { ...product, coat_um: 30 } : product,
      );
    });
    const base = needOf(needsFor(set), `product ${set.kit.roles.base}`)!;
    const five_ul = base.on_nails / 2;
    expect(five_ul).toBeGreaterThan(10);
    expect(five_ul).toBeLessThan(40);
  });

  it('three products by hand: two coats of a colour, one of a top, a bead of builder', () => {
    const set = setWearing([element('colour', { product: 'velvet-04', passes: 2 })]);
    const needs = needsFor(set);
    // An average natural nail of this set is some 130 to 160 mm² with its free edge; coats of 45 to 70 µm.
    const colour = needOf(needs, 'product velvet-04')!.on_nails / 20;
    const top = needOf(needs, `product ${set.kit.roles.top}`)!.on_nails / 10;
    expect(colour).toBeGreaterThan(4);
    expect(colour).toBeLessThan(11);
    expect(top).toBeGreaterThan(6);
    expect(top).toBeLessThan(18);
    const built = onForms('gel');
    const builder = needOf(needsFor(built), `product ${built.kit.roles.builder}`)!.on_nails / 10;
    // A sculpted nail holds some 60 to 200 mm³ of builder (common practice: a pea’s half to a small pea).
    expect(builder).toBeGreaterThan(40);
    expect(builder).toBeLessThan(250);
  });

  it.each(DEMO_SETS.map((demo) => [demo.id, demo] as const))(
    '%s: every product of the plan is there once, in order of first use, in whole amounts',
    (_id, demo) => {
      const set = demo.make();
      const plan = planSet(set, QUICK);
      const needs = needsOf(set, plan);
      const used = new Set(
        NAILS.flatMap((nail) => plan.operations[nail]).flatMap(({ product }) => (product ? [product] : [])),
      );
      for (const product of used)
        expect(needs.filter(({ key }) => key === `product ${product}`)).toHaveLength(1);
      expect(needs.map(({ first_s }) => first_s)).toEqual(
        needs.map(({ first_s }) => first_s).toSorted((a, b) => a - b),
      );
      for (const { amount, on_nails, parts } of needs) {
        expect(Number.isInteger(amount) && amount > 0).toBe(true);
        expect(on_nails).toBeLessThanOrEqual(amount);
        const sum = parts.reduce((all, part) => all + part.amount, 0);
        expect(amount).toBeGreaterThanOrEqual(sum - 0.02);
        expect(amount).toBeLessThan(sum + 1.01);
      }
      // Stones, pieces and charms: as many as lie there.
      const bodies = NAILS.flatMap((nail) => plan.operations[nail]).reduce(
        (all, { deposit }) => all + (deposit?.kind === 'pieces' ? deposit.pieces.length : 0),
        0,
      );
      const counted = needs.filter(({ of }) => of.kind === 'body').reduce((all, one) => all + one.amount, 0);
      expect(counted).toBe(bodies);
    },
  );

  it('a bead of acrylic is powder by weight and liquid by volume', () => {
    const set = onForms('acrylic');
    const needs = needsFor(set);
    const powder = needOf(needs, `product ${set.kit.roles.acrylic}`)!;
    expect(powder.unit).toBe('mg');
    expect(needOf(needs, 'acrylic liquid')!.unit).toBe('ul');
    // From memory: a set of sculpted nails takes one to four grams of powder.
    expect(powder.amount).toBeGreaterThan(500);
    expect(powder.amount).toBeLessThan(5000);
  });
});
