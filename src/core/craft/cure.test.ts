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
});
