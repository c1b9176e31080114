import { applyChange } from '../document/changes';
import { makeFrame } from '../geometry/frame';
import { planNail } from '../plan/nailPlan';
import type { SetDocument } from '../document/document';
import { element, findingsOn, setWearing } from '../testing/sets';
import { buildKindOf } from '../craft/builds';
import { makeField } from './field';
import { bodyOf, carriesWords, strengthWords, thicknesses } from './strength';

const bare = (free_mm: number, thickness_mm = 0.5) =>
  makeField(
    makeFrame({ width_mm: 12, arch_mm: 2.6, bed_mm: 13, free_mm, radiusAlong_mm: 60, shape: 'square' }),
    'plate',
    { thickness_mm, free_edge_mm: free_mm },
    { dull: false },
  );
const built = (kind: string, options: object, change: (set: SetDocument) => void = () => undefined) =>
  setWearing([element('colour')], (set) => {
    set.builds.push({ ...buildKindOf(kind).fresh('test'), ...options } as never);
    set.nails['left-ring'].build = 'test';
    change(set);
  });
const bodyIn = (set: SetDocument) => bodyOf(planNail(set, 'left-ring').nominal.field);

describe('what a nail carries', () => {
  it('is one for the reference nail, and goes with its length and its thickness', () => {
    expect(bodyOf(bare(4)).carries).toBeCloseTo(1, 1);
    expect(bodyOf(bare(8)).carries / bodyOf(bare(4)).carries).toBeCloseTo(0.5, 1);
    // A flat section goes by the square of its thickness, a curved one by less.
    const twice = bodyOf(bare(4, 1)).carries / bodyOf(bare(4)).carries;
    expect(twice).toBeGreaterThan(1.7);
    expect(twice).toBeLessThan(4);
    expect(bodyOf(bare(0)).carries).toBe(0);
  });

  it('grows with the apex, which stands over the stress area; thin at the cuticle and the sides', () => {
    const [low, high] = [400, 900].map((apex_um) => bodyIn(built('sculpted-form', { apex_um })));
    expect(high!.carries).toBeGreaterThan(low!.carries * 1.4);
    expect(high!.apex_mm).toBeGreaterThan(0.75);
    const { bed_mm } = built('sculpted-form', {}).nails['left-ring'].plate;
    expect(Math.abs(high!.apex_at_mm - bed_mm * 0.9)).toBeLessThan(2.5);
    expect(high!.cuticle_mm).toBeLessThan(high!.apex_mm * 0.8);
    expect(high!.sidewalls_mm).toBeLessThan(high!.apex_mm);
    const rows = thicknesses(high!, bed_mm, 8);
    expect(rows.map((row) => row.words)).toEqual(['Apex', 'Cuticle', 'Sidewalls', 'Free edge']);
    expect(rows.every((row) => row.kept)).toBe(true);
    expect(rows[0]!.found).toMatch(/^1\.\d\d mm, at \d+\.\d$/);
    // Past its place, or heavier at the sides than at the apex, it is told.
    const off = thicknesses({ ...high!, apex_at_mm: 4, sidewalls_mm: 2, edge_mm: 0.9 }, bed_mm, 8);
    expect(off.filter((row) => !row.kept).map((row) => row.words)).toEqual([
      'Apex',
      'Sidewalls',
      'Free edge',
    ]);
    expect(thicknesses({ ...high!, apex_mm: 0.3 }, bed_mm, 8)).toEqual([]);
  });

  it('of an even plate grows towards its end as the lever shortens: M = F (L − x), a beam fixed at the bed', () => {
    const { along_edge, weakest, carries } = bodyOf(bare(9));
    expect(along_edge[0]!.carries).toBe(carries);
    expect(weakest!.y_mm).toBe(13);
    for (const { y_mm, carries: here } of along_edge.slice(1))
      // The same section all along a square nail; the figures are kept to a hundredth.
      expect(here * (22 - y_mm)).toBeCloseTo(carries * 9, 0);
    expect(bodyOf(bare(0))).toMatchObject({ along_edge: [], weakest: null });
  });

  it('of a point is least far out, and said so; of a square nail it is least where the bed ends', () => {
    const on = (shape: string) => built('sculpted-form', { shape, length_mm: 14, apex_um: 700 });
    const [stiletto, square] = ['stiletto', 'square'].map((shape) => bodyIn(on(shape)));
    const { bed_mm } = on('square').nails['left-ring'].plate;
    expect(stiletto!.weakest!.y_mm).toBeGreaterThan(bed_mm + 5);
    expect(stiletto!.weakest!.carries).toBeLessThan(0.4 * stiletto!.carries);
    expect(strengthWords(stiletto!, bed_mm)).toMatch(/; its thin end would break [\d.]+ mm past the bed$/);
    expect(square!.weakest!.y_mm).toBeLessThan(bed_mm + 1.5);
    expect(strengthWords(square!, bed_mm)).toMatch(/; it would break where the bed ends$/);
    expect(strengthWords({ weakest: null, carries: 0 }, bed_mm)).toBe('no free edge to lever on it');
  });

  it('does not count what is hollow or what only stands on the nail', () => {
    const plain = bodyIn(built('soft-gel-tip', {}));
    const charmed = setWearing([element('colour'), element('charm')], (set) => {
      set.nails['left-ring'].build = 'tips';
    });
    expect(plain.apex_mm).toBeLessThan(1.2);
    expect(bodyIn(charmed).apex_mm).toBeLessThan(1.2);
  });

  it('is said in words', () => {
    expect([0, 0.3, 0.6, 1, 2].map(carriesWords)).toEqual([
      'no free edge to lever on it',
      'weak for its length: it breaks at ordinary work',
      'carries less than a usual natural nail: with care',
      'carries what a usual natural nail does',
      'carries more than a usual natural nail',
    ]);
  });
});

describe('a weak stress area', () => {
  const weak = (set: SetDocument) => findingsOn(set).find((one) => one.code === 'weak-stress');

  it.each<[string, SetDocument]>([
    [
      'is told of a long natural nail, and mended by the length that is offered',
      built('natural-gel', {}, (set) => {
        set.nails['left-ring'].plate.free_edge_mm = 20;
        set.nails['left-ring'].plate.thickness_mm = 0.3;
      }),
    ],
    [
      'is told of a long thin overlay, and mended by the apex that is offered',
      built('natural-builder', { apex_um: 250 }, (set) => {
        set.nails['left-ring'].plate.free_edge_mm = 22;
        set.nails['left-ring'].plate.thickness_mm = 0.2;
      }),
    ],
  ])('%s', (_words, set) => {
    const told = weak(set)!;
    expect(told.figure!.value).toBeLessThan(0.4);
    const mended = applyChange(set, told.fix!.change);
    expect(mended.ok && weak(mended.value)).toBeUndefined();
    expect(bodyIn(mended.ok ? mended.value : set).carries).toBeGreaterThanOrEqual(0.4);
  });

  it('is no word on a nail of a usual length', () => {
    expect(weak(built('natural-gel', {}))).toBeUndefined();
  });
});
