import { buildOf, frameOf } from '../document/nailContext';
import { compileNail } from '../compile/compile';
import { wholePlace } from '../craft/context';
import type { Operation } from '../craft/operation';
import type { SetDocument } from '../document/document';
import { outlinePolygon } from '../geometry/frame';
import { polygonArea_mm2 } from '../geometry/polygons';
import { NAILS, type NailName } from '../model/names';
import { element, setWearing } from '../testing/sets';
import { laidOver_mm2, measuredOut } from './measuredOut';

const operationsOf = (set: SetDocument) =>
  Object.fromEntries(NAILS.map((name) => [name, compileNail(set, name).operations])) as unknown as Record<
    NailName,
    Operation[]
  >;
const measure = (set: SetDocument) => measuredOut(set, operationsOf(set));
const onlyThumb = (set: SetDocument) => {
  for (const name of NAILS) set.nails[name].in_work = name === 'left-thumb';
};

describe('what is measured out', () => {
  it('goes by the area that is laid: a whole nail is its outline, half of it half, thinned out evenly half', () => {
    const set = setWearing([element('colour')]);
    for (const name of ['left-thumb', 'left-little'] as const) {
      const frame = frameOf(set.nails[name], buildOf(set, set.nails[name]));
      const outline_mm2 = Math.abs(polygonArea_mm2(outlinePolygon(frame)));
      const place = { ...wholePlace(), margin_mm: 0 };
      const whole = laidOver_mm2(frame, place);
      expect(Math.abs(whole / outline_mm2 - 1)).toBeLessThan(0.01);
      const half = laidOver_mm2(frame, { ...place, region: { kind: 'half', side: 'left', at: 0 } });
      expect(Math.abs(half / whole - 0.5)).toBeLessThan(0.01);
      const across = { kind: 'thinned', direction: 'across', from: 0, to: 1, mirror: false } as const;
      expect(Math.abs(laidOver_mm2(frame, place, across) / whole - 0.5)).toBeLessThan(0.03);
    }
  });

  it('grains weigh what so many of their size weigh, counted by hand', () => {
    const glitter = element('glitter', {
      shape: 'square',
      size_mm: 1,
      thickness_um: 100,
      per_cm2: 1000,
      fade: null,
      cover_um: 0,
      tack: true,
    });
    const set = setWearing([element('colour'), glitter], onlyThumb);
    const nail = set.nails['left-thumb'];
    const laid = operationsOf(set)['left-thumb'].find(({ deposit }) => deposit?.kind === 'grains')!;
    const frame = frameOf(nail, buildOf(set, nail));
    // 10 to a mm², each 1 × 1 × 0.1 mm of film of 1.38 mg/mm³.
    const mg = 10 * laidOver_mm2(frame, laid.place) * 0.1 * 1.38;
    expect(mg).toBeGreaterThan(100);
    expect(measure(set)).toEqual([
      { words: 'square glitter', colour: '#d9b45b', said: `${Math.round(mg / 100) / 10} g` },
    ]);
  });

  it('is of all nails together, by colour; what is poured or counted is not in it', () => {
    const leaf = element('sheets', { id: 'leaf' });
    const one = measure(setWearing([element('colour'), leaf], onlyThumb));
    const ten = measure(setWearing([element('colour'), leaf]));
    expect(one).toHaveLength(1);
    expect(ten).toHaveLength(1);
    expect(parseFloat(ten[0]!.said)).toBeGreaterThan(4 * parseFloat(one[0]!.said));
    expect(measure(setWearing([element('colour'), element('inlay'), element('charm')]))).toEqual([]);
    const two = [leaf, element('sheets', { id: 'other', colour: '#c0c0c0' })];
    expect(measure(setWearing([element('colour'), ...two]))).toHaveLength(2);
  });
});
