import { grey } from '../../colour/film';
import { luminance } from '../../colour/space';
import { compileNail } from '../../compile/compile';
import { planNail } from '../../plan/nailPlan';
import { pileColours } from '../../simulate/pile';
import { codesOn, element, findingsOn, setWearing } from '../../testing/sets';

const GROUND = element('colour', { id: 'ground', product: 'rose-nude' });
const washed = (over: Parameters<typeof element<'wash'>>[1] = {}) =>
  setWearing([GROUND, element('wash', { fade: null, ...over })]);
/** Luminance in the middle of the nail, over white where nothing hides it. */
const seen = (set: ReturnType<typeof washed>, along = 0.5) => {
  const { nominal, compiled } = planNail(set, 'left-middle');
  const { frame } = nominal.field;
  return luminance(
    pileColours(nominal.field, compiled.context.product)(0, along * frame.length_mm, { ground: grey(1) }),
  );
};

describe('a wash', () => {
  it('of so much colour in clear is seen as a coat thinner by as much', () => {
    // Two passes of one half hold the colour of one full coat.
    const full = setWearing([GROUND, element('colour', { product: 'night-blue', passes: 1 })]);
    expect(seen(washed({ product: 'night-blue', strength: 0.5, passes: 2 }))).toBeCloseTo(seen(full), 3);
  });

  it('lets what lies below be seen, and each pass deepens it', () => {
    const deeper = [1, 2, 4].map((passes) => seen(washed({ product: 'night-blue', strength: 0.1, passes })));
    const bare = seen(setWearing([GROUND]));
    expect(deeper[0]!).toBeLessThan(bare);
    expect(deeper[1]!).toBeLessThan(deeper[0]!);
    expect(deeper[2]!).toBeLessThan(deeper[1]!);
    expect(deeper[2]!).toBeGreaterThan(
      seen(setWearing([GROUND, element('colour', { product: 'night-blue', passes: 'cover' })])),
    );
  });

  it('as smoke is full where it begins and gone where it ends', () => {
    const smoke = washed({
      product: 'night-blue',
      strength: 0.3,
      passes: 3,
      fade: { direction: 'along', from: 0.95, to: 0.4 },
    });
    const bare = setWearing([GROUND]);
    expect(seen(smoke, 0.2)).toBeCloseTo(seen(bare, 0.2), 6);
    expect(seen(smoke, 0.9)).toBeLessThan(seen(smoke, 0.6));
  });

  it('is no colour that fails to cover: nothing is found of it, and its card says how it is mixed', () => {
    expect(codesOn(washed())).toEqual([]);
    const words = compileNail(washed({ product: 'night-blue' }), 'left-ring').operations.map(
      (one) => one.words,
    );
    expect(words).toContain('Night blue washed thin, 1 part to 6 of clear, pass 1 of 2');
  });

  it('under a colour that covers it is told as hidden', () => {
    const under = setWearing([element('wash', { id: 'lost' }), GROUND]);
    expect(findingsOn(under).map(({ code }) => code)).toContain('art-hidden');
  });
});
