import fc from 'fast-check';
import { genericKit } from '../starter/kit';
import { cureSeconds, gelDepth, neededDose } from './cure';

describe('curing by depth', () => {
  it('follows the working curve of Jacobs (1992)', () => {
    expect(gelDepth(0.2, 100, 5)).toBeCloseTo(0.5991, 4);
    // Doubling the dose adds ln 2 · D_p.
    expect(gelDepth(0.2, 200, 5) - gelDepth(0.2, 100, 5)).toBeCloseTo(0.693 * 0.2, 4);
    expect(gelDepth(0.2, 4, 5)).toBe(0);
  });

  it('asks for more to cure than to gel, for every lamp product of the kit', () => {
    for (const product of genericKit().products) {
      const need = neededDose(product);
      if (!product.lamp) expect(need).toBeUndefined();
      else expect(need!.cured).toBeGreaterThan(need!.gelled);
    }
  });

  it('keeps a product’s own time for its own thickness, and gives a thicker coat more', () => {
    const builder = genericKit().products.find((product) => product.family === 'builder-gel')!;
    expect(cureSeconds(builder, builder.coat_um!)).toBe(60);
    fc.assert(
      fc.property(fc.integer({ min: 10, max: 900 }), fc.integer({ min: 1, max: 400 }), (t, more) => {
        expect(cureSeconds(builder, t + more)).toBeGreaterThanOrEqual(cureSeconds(builder, t));
        const seconds = cureSeconds(builder, t);
        const bottom = seconds * Math.exp(-t / builder.lamp!.depth_um);
        expect(bottom).toBeGreaterThanOrEqual(neededDose(builder)!.cured);
      }),
    );
  });

  // Jacobs (1992): two points of a working curve give its slope, and the slope the dose of any third.
  it('takes both times of a direction that has two, and what lies between and past them from the curve through both', () => {
    const product = (from_um: number, cure_s: number) => ({
      ...genericKit().products.find(({ family }) => family === 'builder-gel')!,
      coat_um: 300,
      lamp: { cure_s: 60, flash_s: 10, depth_um: 123, thick: { from_um, cure_s } },
    });
    const two = product(700, 90);
    expect(cureSeconds(two, 300)).toBe(60);
    expect(cureSeconds(two, 700)).toBe(90);
    expect(cureSeconds(two, 500)).toBe(Math.round(Math.sqrt(60 * 90)));
    expect(cureSeconds(two, 1100)).toBe(135);
    // What the direction says is enough for what it says it of.
    const { cured } = neededDose(two)!;
    const depth_um = 400 / Math.log(1.5);
    for (const [t_um, seconds] of [
      [300, 60],
      [700, 90],
    ] as const)
      expect(seconds * Math.exp(-t_um / depth_um)).toBeGreaterThanOrEqual(cured);
    // No longer for a thicker coat, or of a thinner one: it asks for no more than the guide would.
    expect(cureSeconds(product(700, 60), 700)).toBeLessThanOrEqual(66);
    expect(cureSeconds(product(200, 90), 300)).toBe(60);
  });
});
