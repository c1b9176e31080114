import fc from 'fast-check';
import { curveOf } from './curve';
import { evenStrips, sectionOf } from './section';

describe('the section of a nail', () => {
  it('of a flat one is the rectangle of the handbooks: b·h³/12 and b·h²/6', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 20, noNaN: true }),
        fc.double({ min: 0.1, max: 3, noNaN: true }),
        (b, h) => {
          const { inertia_mm4, modulus_mm3 } = sectionOf(evenStrips(b, h * 0.3, h * 0.7), Infinity);
          expect(inertia_mm4).toBeCloseTo((b * h ** 3) / 12, 9);
          expect(modulus_mm3).toBeCloseTo((b * h ** 2) / 6, 9);
        },
      ),
    );
  });

  it('of a thin curved one is the thin arc of the handbooks: R³t·(α + sinα·cosα − 2sin²α/α)', () => {
    // Timoshenko, Strength of Materials; Roark’s Formulas for Stress and Strain, properties of sections.
    for (const [width_mm, arch_mm] of [
      [12, 1],
      [12, 3],
      [9, 4],
      [14, 7],
    ] as const) {
      const { radius_mm, half_angle, arc_mm } = curveOf(width_mm, arch_mm);
      const t = 0.002;
      const a = half_angle;
      const thin = radius_mm ** 3 * t * (a + Math.sin(a) * Math.cos(a) - (2 * Math.sin(a) ** 2) / a);
      const { inertia_mm4 } = sectionOf(evenStrips(arc_mm, t / 2, t / 2, 4000), radius_mm);
      expect(inertia_mm4 / thin).toBeCloseTo(1, 2);
    }
  });

  it('of half a ring is that of the tables: 0.1098·(r₂⁴−r₁⁴) − 0.283·r₁²r₂²(r₂−r₁)/(r₂+r₁)', () => {
    const [inner, outer] = [5, 6.4];
    const strips = evenStrips(Math.PI * inner, 0, outer - inner, 4000);
    const table =
      0.1098 * (outer ** 4 - inner ** 4) -
      (0.283 * inner ** 2 * outer ** 2 * (outer - inner)) / (outer + inner);
    expect(sectionOf(strips, inner).inertia_mm4 / table).toBeCloseTo(1, 2);
  });

  it('grows with every layer, and a curve makes it stiffer than a flat one', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.2, max: 1.5, noNaN: true }),
        fc.double({ min: 0.05, max: 0.5, noNaN: true }),
        (t, more) => {
          const { radius_mm, arc_mm } = curveOf(12, 3);
          const of = (over: number, r = radius_mm) => sectionOf(evenStrips(arc_mm, 0.5, over), r).inertia_mm4;
          expect(of(t + more)).toBeGreaterThan(of(t));
          expect(of(t)).toBeGreaterThan(of(t, Infinity));
        },
      ),
    );
  });

  it('of nothing is nothing', () => {
    expect(sectionOf([], 8)).toEqual({ inertia_mm4: 0, modulus_mm3: 0 });
    expect(sectionOf(evenStrips(10, 0, 0), 8)).toEqual({ inertia_mm4: 0, modulus_mm3: 0 });
  });
});
