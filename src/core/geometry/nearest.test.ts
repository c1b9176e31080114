import fc from 'fast-check';
import { toLine_mm } from './lines';
import { nearestOf, type Mark } from './nearest';

const mark = (a: [number, number], b: [number, number], half_mm: number): Mark => {
  const line = [
    { x: a[0], y: a[1] },
    { x: b[0], y: b[1] },
  ];
  const into_mm = (x: number, y: number) => half_mm - toLine_mm(line, x, y);
  return { into_mm, atMost_mm: () => Infinity };
};
const place = fc.double({ min: -8, max: 20, noNaN: true });

it('the nearest of many marks is the nearest of all of them, wherever it is asked', () => {
  const one = fc.tuple(
    fc.tuple(place, place),
    fc.tuple(place, place),
    fc.double({ min: 0.02, max: 2, noNaN: true }),
  );
  fc.assert(
    fc.property(
      fc.array(one, { minLength: 1, maxLength: 40 }),
      fc.array(fc.tuple(place, place), { minLength: 1, maxLength: 60 }),
      (drawn, points) => {
        const marks = drawn.map(([a, b, half_mm]) => mark(a, b, half_mm));
        const nearest = nearestOf(marks);
        for (const [x, y] of points)
          expect(nearest(x, y)).toBe(Math.max(...marks.map(({ into_mm }) => into_mm(x, y))));
      },
    ),
  );
});

it('of none there is nothing near', () => {
  expect(nearestOf([])(1, 1)).toBe(-Infinity);
});
