import { curtainUp } from '../demo/curtainUp';
import { spill_mm2 } from '../geometry/polygons';
import { NAILS } from '../model/names';
import { planSet } from '../plan/planSet';
import { QUICK } from '../testing/sets';
import { nailMaps } from './nailMap';

describe('maps of special nails', () => {
  const set = curtainUp();
  const { operations } = planSet(set, QUICK);
  const { maps, numbers } = nailMaps(set, operations);
  const mapOf = (nail: string) =>
    maps.find((map) => map.nail === nail || map.same.some((one) => one.nail === nail))!;

  it('are drawn for the nails that carry something in a part of them, and hold every piece once, in order', () => {
    const shown = maps.flatMap(({ nail, same }) => [nail, ...same.map((one) => one.nail)]);
    // Colour and fade lie all over.
    expect(shown.sort()).toEqual(NAILS.filter((nail) => !nail.endsWith('little')).sort());
    for (const [nail, own] of Object.entries(operations)) {
      const pieces = own.flatMap((one) => (one.deposit?.kind === 'pieces' ? one.deposit.pieces : []));
      const items = mapOf(nail)?.items.map((item) => item.words) ?? [];
      const words = pieces.map((piece) => piece.words);
      expect(items.filter((item) => words.includes(item))).toEqual(words);
    }
    expect(mapOf('left-index').items.map(({ words }) => words)).toEqual(['Velvet 04 tip', 'Gilt liner line']);
  });

  it('number what is laid in the order of the work; two coats of one tip have one number', () => {
    const index = operations['left-index'].filter(({ id }) => numbers.has(id));
    expect(index.map(({ id }) => numbers.get(id))).toEqual([[1], [1], [2]]);
    for (const [nail, own] of Object.entries(operations))
      for (const { id } of own)
        for (const number of numbers.get(id) ?? []) expect(mapOf(nail).items[number - 1]).toBeDefined();
  });

  it('nails that carry the same share one, the other hand turned over', () => {
    expect(mapOf('right-ring')).toBe(mapOf('left-ring'));
    expect(mapOf('left-ring').same).toEqual([{ nail: 'right-ring', turned: true }]);
  });

  it('every piece lies on its nail, where the words say', () => {
    for (const map of maps) {
      for (const item of map.items) {
        // A drawing has its reach there, and no middle.
        if (/ up$/.test(item.at) && / to /.test(item.at)) continue;
        const { all, out } = spill_mm2([item.outline], map.outline);
        expect([map.nail, item.words, out < 0.05 * all]).toEqual([map.nail, item.words, true]);
        const [, across, side, along] = /^([\d.]+) (left|middle|right), ([\d.]+) up$/.exec(item.at)!;
        expect(Number(across)).toBeCloseTo(Math.abs(item.x_mm), 1);
        expect(Number(along)).toBeCloseTo(item.y_mm, 1);
        expect(side === 'middle' || (side === 'left') === item.x_mm < 0).toBe(true);
      }
    }
  });
});
