import { curveOf } from '../geometry/curve';
import { Plate } from '../model/nail';
import { NAILS } from '../model/names';
import { platesOf } from './oneBreath';
import { tipBox } from '../craft/tipBox';

const box = tipBox('tips', 'Tips', 'normal');
const fault = (said: string, from: Parameters<typeof platesOf>[1] = box) => {
  const plates = platesOf(said, from);
  return plates.ok ? 'taken' : plates.faults[0]!.message;
};

describe('tip sizes said in one breath', () => {
  it('give both hands, thumb to little finger, each as wide as its tip', () => {
    const plates = platesOf('1 5 4 5 8', box);
    if (!plates.ok) throw new Error('refused');
    const size = { thumb: 1, index: 5, middle: 4, ring: 5, little: 8 };
    for (const name of NAILS) {
      const { width_mm, arch_mm } = plates.value[name];
      const finger = name.split('-')[1] as keyof typeof size;
      const arc = box.sizes[size[finger]]!.arc_mm;
      expect(Math.abs(curveOf(width_mm, arch_mm).arc_mm - arc)).toBeLessThan(0.15);
      expect(Plate.safeParse(plates.value[name]).success).toBe(true);
    }
  });

  it('ten of them give each hand its own', () => {
    const plates = platesOf('1,5,4,5,8 / 2 6 5 6 9', box);
    if (!plates.ok) throw new Error('refused');
    expect(plates.value['left-thumb'].width_mm).toBeGreaterThan(plates.value['right-thumb'].width_mm);
  });

  it.each([
    ['', 'five sizes'],
    ['1 2 3', 'five sizes'],
    ['1 2 3 4 14', '"14" is no size of the box “Tips”'],
    ['1 2 3 4 x', '"x" is no size'],
  ])('"%s" is refused: %s', (said, message) => expect(fault(said)).toContain(message));

  it('need a box', () => {
    expect(fault('1 2 3 4 5', { ...box, sizes: [] })).toMatch(/no box of tips/);
  });
});
