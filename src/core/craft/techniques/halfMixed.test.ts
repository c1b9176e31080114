import { compileNail } from '../../compile/compile';
import { planNail } from '../../plan/nailPlan';
import { pileColours } from '../../simulate/pile';
import { grey } from '../../colour/film';
import { luminance } from '../../colour/space';
import { codesOn, element, setWearing } from '../../testing/sets';
import type { SetDocument } from '../../document/document';
import { buildKindOf, type Build } from '../builds';

const on =
  (kind: Build['kind'], over: object = {}) =>
  (set: SetDocument): void => {
    set.builds.push({ ...buildKindOf(kind).fresh('built'), ...over } as Build);
    set.nails['left-ring'].build = 'built';
  };
const MIX = [
  { product: 'acrylic-white', share: 0.75 },
  { product: 'acrylic-plum', share: 0.25 },
];

describe('a build half mixed', () => {
  it('is the build itself, said once as it is mixed, and shows veins of both colours', () => {
    const set = setWearing(
      [element('half-mixed', { parts: MIX, mixed: 0 })],
      on('sculpted-form', { material: 'acrylic' }),
    );
    expect(codesOn(set)).toEqual([]);
    const { operations } = compileNail(set, 'left-ring');
    const sculpted = operations.filter((one) => one.paint?.kind === 'marble');
    expect(sculpted).toHaveLength(1);
    expect(sculpted[0]!.words).toMatch(
      /beads: Acrylic white and Acrylic plum half mixed, 3 : 1, and laid as one$/,
    );
    const { nominal, compiled } = planNail(set, 'left-ring');
    const { frame } = nominal.field;
    const colours = pileColours(nominal.field, compiled.context.product);
    const seen: number[] = [];
    for (let x = -3; x <= 3; x += 0.2)
      for (let y = 2; y < frame.length_mm - 1; y += 0.2)
        seen.push(luminance(colours(x, y, { ground: grey(0.5) })));
    seen.sort((a, b) => a - b);
    // About a quarter is dark: as much as was poured of it.
    const between = (seen[0]! + seen.at(-1)!) / 2;
    const dark = seen.filter((one) => one < between).length / seen.length;
    expect(dark).toBeGreaterThan(0.15);
    expect(dark).toBeLessThan(0.35);
  });

  it('in a mould is filled into it, and said there', () => {
    const set = setWearing([element('half-mixed')], on('upper-mould'));
    // Half of it is clear.
    expect(codesOn(set)).toEqual(['underside-bare']);
    const words = compileNail(set, 'left-ring').operations.map((one) => one.words);
    expect(words.filter((one) => one.includes('half mixed'))).toEqual([
      expect.stringMatching(/^Fill the mould: .* half mixed, /),
    ]);
  });

  it('on a nail whose build is of something else is told', () => {
    expect(codesOn(setWearing([element('half-mixed', { parts: MIX })]))).toContain('built-unused');
  });
});
