import { differenceCiede2000 } from 'culori';
import type { Element } from '../craft/techniques';
import { planNail } from '../plan/nailPlan';
import { element, setWearing } from '../testing/sets';
import { contrastOf } from './contrast';

const TIP = { kind: 'band', from: 1, to: 2 } as const;
function contrast(elements: Element[], pair: [string, string]) {
  const set = setWearing(elements);
  const { nominal, compiled } = planNail(set, 'left-middle');
  return contrastOf(nominal.field, compiled.operations, compiled.context.product, pair);
}
const colour = (id: string, product: string, over: object = {}) =>
  element('colour', { id, product, ...over });

describe('the contrast of two things on a nail', () => {
  it('is the difference of their colours, as a library has it', () => {
    const told = contrast(
      [colour('all', 'velvet-04'), colour('tip', 'sage-03', { region: TIP })],
      ['all', 'tip'],
    )!;
    const expected = differenceCiede2000()('#4a0f22', '#8fa08a');
    // The films are not endlessly thick: what shows through moves it a little.
    expect(Math.abs(told.off - expected)).toBeLessThan(4);
    const turned = contrast(
      [colour('all', 'velvet-04'), colour('tip', 'sage-03', { region: TIP })],
      ['tip', 'all'],
    )!;
    expect(turned.off).toBeCloseTo(told.off, 6);
    expect(told.worst.off).toBeLessThanOrEqual(told.off);
  });

  it('red and green that differ in hue alone are hardest for eyes without red or green', () => {
    const set = setWearing([colour('all', 'velvet-04'), colour('tip', 'sage-03', { region: TIP })], (all) => {
      const paint = (id: string, hex: string) => {
        all.kit.products.find((one) => one.id === id)!.colour = hex;
      };
      paint('velvet-04', '#c05848');
      paint('sage-03', '#7d8238');
    });
    const { nominal, compiled } = planNail(set, 'left-middle');
    const told = contrastOf(nominal.field, compiled.operations, compiled.context.product, ['all', 'tip'])!;
    expect(told.worst.words).toMatch(/without (red|green)/);
    expect(told.worst.off).toBeLessThan(told.off / 2);
  });

  it('takes pieces, stones and charms as what they are, and tells nothing of what is hidden', () => {
    const elements = [colour('under', 'ivory-02'), colour('all', 'velvet-04'), element('charm')];
    expect(contrast(elements, ['all', 'charm'])!.off).toBeGreaterThan(20);
    expect(contrast(elements, ['under', 'all'])).toBeUndefined();
    expect(contrast(elements, ['all', 'nothing'])).toBeUndefined();
  });
});
