import { curtainUp } from '../demo/curtainUp';
import { spill_mm2 } from '../geometry/polygons';
import { planSet } from '../plan/planSet';
import { QUICK } from '../testing/sets';
import { nailMaps } from './nailMap';

describe('maps of special nails', () => {
  const set = curtainUp();
  const { operations } = planSet(set, QUICK);
  const maps = nailMaps(set, operations);
  const mapOf = (nail: string) => maps.find((map) => map.nail === nail)!;

  it('are drawn for the nails that carry pieces, and hold every piece once', () => {
    const carrying = Object.entries(operations).filter(([, own]) =>
      own.some((one) => one.deposit?.kind === 'pieces'),
    );
    expect(maps.map((map) => map.nail)).toEqual(carrying.map(([nail]) => nail));
    for (const [nail, own] of carrying) {
      const pieces = own.flatMap((one) => (one.deposit?.kind === 'pieces' ? one.deposit.pieces : []));
      expect(mapOf(nail).items.map((item) => item.words)).toEqual(pieces.map((piece) => piece.words));
    }
  });

  it('every piece lies on its nail, where the words say', () => {
    for (const map of maps) {
      for (const item of map.items) {
        const { all, out } = spill_mm2([item.outline], map.outline);
        expect([map.nail, item.words, out < 0.05 * all]).toEqual([map.nail, item.words, true]);
        const [, across, side, along] = /^([\d.]+) (left|middle|right), ([\d.]+) up$/.exec(item.at)!;
        expect(Number(across)).toBeCloseTo(Math.abs(item.x_mm), 1);
        expect(Number(along)).toBeCloseTo(item.y_mm, 1);
        expect(side === 'middle' || (side === 'left') === item.x_mm < 0).toBe(true);
      }
    }
  });

  it('the hands mirror each other', () => {
    const left = mapOf('left-ring').items;
    const right = mapOf('right-ring').items;
    expect(right.map((item) => -item.x_mm)).toEqual(left.map((item) => expect.closeTo(item.x_mm, 1)));
    expect(right.map((item) => item.y_mm)).toEqual(left.map((item) => expect.closeTo(item.y_mm, 1)));
  });
});
