import fc from 'fast-check';
import highsLoader from 'highs';
import { NAILS } from '../model/names';
import { CURVES, type TipBox } from '../model/product';
import { assign } from './assign';
import { curveClassOf, fitTips, tipWords, type WantsTip } from './tipFit';
import { runs } from '../testing/runs';

const box = (id: string, arcs: number[], counts: number[], curve: TipBox['curve'] = 'normal'): TipBox => ({
  id,
  name: id,
  curve,
  sizes: arcs.map((arc_mm, size) => ({ size, arc_mm, count: counts[size] ?? 1 })),
});
const wants = (arcs: number[], curve: WantsTip['curve'] = 'normal'): WantsTip[] =>
  arcs.map((arc_mm, i) => ({ nail: NAILS[i]!, arc_mm, curve }));

const tenth = (min: number, max: number) => fc.integer({ min: min * 10, max: max * 10 }).map((n) => n / 10);
const anyBox = fc
  .record({
    arcs: fc.uniqueArray(tenth(8, 20), { minLength: 1, maxLength: 11 }),
    counts: fc.array(fc.integer({ min: 0, max: 3 }), { minLength: 11, maxLength: 11 }),
    curve: fc.constantFrom(...CURVES),
  })
  .map(({ arcs, counts, curve }) => box('b', arcs, counts, curve));
const anyNails = (most: number) =>
  fc
    .array(fc.record({ arc_mm: tenth(8, 20), curve: fc.constantFrom(...CURVES) }), {
      minLength: 1,
      maxLength: most,
    })
    .map((list) => list.map((one, i): WantsTip => ({ nail: NAILS[i]!, ...one })));

/** What a pair costs, said anew from the rule: nothing too narrow, filing, and three mm for another curve. */
function pairCost(nail: WantsTip, arc_mm: number, curve: string): number | undefined {
  if (arc_mm < nail.arc_mm - 0.05) return undefined;
  return Math.max(0, arc_mm - nail.arc_mm) + (curve === nail.curve ? 0 : 3);
}
const costOf = (nails: WantsTip[], boxes: TipBox[]) => {
  const { fits, without } = fitTips(nails, boxes);
  return fits.reduce((sum, fit) => sum + fit.spare_mm + (fit.otherCurve ? 3 : 0), without.length * 1000);
};

/** Every way to give tips to nails. */
function cheapest(nails: WantsTip[], boxes: TipBox[]): number {
  const left = boxes.map((one) => one.sizes.map((size) => size.count));
  const from = (i: number): number => {
    if (i === nails.length) return 0;
    let best = 1000 + from(i + 1);
    boxes.forEach((one, b) =>
      one.sizes.forEach((size, s) => {
        const cost = pairCost(nails[i]!, size.arc_mm, one.curve);
        if (cost === undefined || left[b]![s] === 0) return;
        left[b]![s]! -= 1;
        best = Math.min(best, cost + from(i + 1));
        left[b]![s]! += 1;
      }),
    );
    return best;
  };
  return from(0);
}

/** The same as a linear programme; its corners are whole numbers. */
async function byProgramme(nails: WantsTip[], boxes: TipBox[]): Promise<number> {
  const highs = await highsLoader();
  const terms: string[] = [];
  const perNail = nails.map((): string[] => []);
  const limits: string[] = [];
  boxes.forEach((one, b) =>
    one.sizes.forEach((size, s) => {
      const users: string[] = [];
      nails.forEach((nail, n) => {
        const cost = pairCost(nail, size.arc_mm, one.curve);
        if (cost === undefined) return;
        terms.push(`${cost.toFixed(6)} x${n}_${b}_${s}`);
        perNail[n]!.push(`x${n}_${b}_${s}`);
        users.push(`x${n}_${b}_${s}`);
      });
      if (users.length > 0) limits.push(`l${b}_${s}: ${users.join(' + ')} <= ${size.count}`);
    }),
  );
  nails.forEach((_, n) => terms.push(`1000 w${n}`));
  const rows = perNail.map((names, n) => `n${n}: ${[...names, `w${n}`].join(' + ')} = 1`);
  const binary = [...perNail.flat(), ...nails.map((_, n) => `w${n}`)];
  const solved = highs.solve(
    `Minimize\n obj: ${terms.join(' + ')}\nSubject To\n ${[...rows, ...limits].join('\n ')}\nBinary\n ${binary.join(' ')}\nEnd`,
  );
  return solved.ObjectiveValue;
}

describe('fitting tips', () => {
  it('takes the wider one between sizes, and says what to file', () => {
    const { fits } = fitTips(wants([11.4]), [box('b', [13, 12, 11], [1, 1, 1])]);
    expect(fits).toMatchObject([{ size: 1, otherCurve: false }]);
    expect(tipWords(fits[0]!)).toBe('Size 1, file 0.3 mm off each side');
    expect(tipWords(fitTips(wants([12]), [box('b', [12], [1])]).fits[0]!)).toBe('Size 0, fits as it is');
  });

  it('gives the last of a size where it saves most, and tells who goes without', () => {
    const sizes = box('b', [14, 12], [1, 1]);
    // Greedy by nail would give the 12 to the first and leave the third without.
    const { fits, without } = fitTips(wants([12, 11.9, 13.5]), [sizes]);
    expect(fits.map((fit) => [fit.nail, fit.size])).toEqual([
      [NAILS[0], 1],
      [NAILS[2], 0],
    ]);
    expect(without).toEqual([NAILS[1]]);
  });

  it('respects the curve of the nail, as long as it costs less than the filing', () => {
    const boxes = [box('n', [12], [1], 'normal'), box('s', [12.6, 16], [1, 1], 'strong')];
    expect(fitTips(wants([12], 'strong'), boxes).fits[0]).toMatchObject({ box: { id: 's' }, size: 0 });
    const { fits } = fitTips(wants([12, 12], 'strong'), boxes);
    expect(fits.filter((fit) => fit.otherCurve)).toHaveLength(1);
    expect(curveClassOf({ width_mm: 10, arch_mm: 1 })).toBe('flat');
    expect(curveClassOf({ width_mm: 10, arch_mm: 2.2 })).toBe('normal');
    expect(curveClassOf({ width_mm: 10, arch_mm: 3 })).toBe('strong');
  });

  it('is as cheap as any other way of random boxes and hands', () => {
    fc.assert(
      fc.property(anyNails(4), fc.array(anyBox, { minLength: 1, maxLength: 2 }), (nails, boxes) => {
        expect(costOf(nails, boxes)).toBeCloseTo(cheapest(nails, boxes), 6);
      }),
      { numRuns: runs(20, 150) },
    );
  });

  it('of ten nails is as cheap as an integer programme finds it (HiGHS)', async () => {
    await fc.assert(
      fc.asyncProperty(
        anyNails(10),
        fc.array(anyBox, { minLength: 1, maxLength: 3 }),
        async (nails, boxes) => {
          expect(costOf(nails, boxes)).toBeCloseTo(await byProgramme(nails, boxes), 3);
        },
      ),
      { numRuns: runs(15, 60) },
    );
  });

  it('never gives a tip that is too narrow, nor more of a size than there are', () => {
    fc.assert(
      fc.property(anyNails(10), fc.array(anyBox, { minLength: 1, maxLength: 3 }), (nails, boxes) => {
        const { fits, without } = fitTips(nails, boxes);
        expect(fits.length + without.length).toBe(nails.length);
        for (const one of boxes)
          for (const size of one.sizes)
            expect(
              fits.filter((fit) => fit.box === one && fit.size === size.size).length,
            ).toBeLessThanOrEqual(size.count);
        for (const fit of fits) {
          const tip = fit.box.sizes.find((size) => size.size === fit.size)!;
          expect(tip.arc_mm).toBeGreaterThan(nails.find((one) => one.nail === fit.nail)!.arc_mm - 0.06);
        }
      }),
    );
  });

  it('the assignment says so where a row is allowed nothing', () => {
    expect(() => assign([[Infinity, Infinity]])).toThrow('no column');
    expect(assign([])).toEqual([]);
  });
});
