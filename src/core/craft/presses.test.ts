import fc from 'fast-check';
import { compileNail } from '../compile/compile';
import { NAILS } from '../model/names';
import { planSet } from '../plan/planSet';
import { element, setWearing } from '../testing/sets';
import type { PlacedPiece } from './matter';
import { pressGroups } from './presses';

const piece = (x_mm: number, y_mm: number, length_mm: number): PlacedPiece => ({
  kind: 'piece',
  words: 'sliver',
  shape: 'rectangle',
  x_mm,
  y_mm,
  width_mm: 1,
  length_mm,
  height_mm: 0.05,
  turn_deg: 0,
  stiffness: 0.5,
  colour: '#ffffff',
  metallic: false,
});

it('every piece is pressed once, one or two at a time, and two only where they lie near each other', () => {
  const any = fc
    .tuple(fc.integer({ min: -6, max: 6 }), fc.integer({ min: 0, max: 20 }), fc.integer({ min: 1, max: 12 }))
    .map(([x, y, length]) => piece(x, y, length));
  fc.assert(
    fc.property(fc.array(any, { maxLength: 20 }), (pieces) => {
      const groups = pressGroups(pieces);
      expect(new Set(groups.flat())).toEqual(new Set(pieces));
      expect(groups.flat()).toHaveLength(pieces.length);
      for (const [a, b, ...more] of groups) {
        expect(more).toEqual([]);
        if (a && b) expect(Math.hypot(a.x_mm - b.x_mm, a.y_mm - b.y_mm)).toBeLessThanOrEqual(5);
      }
    }),
  );
});

it('with a torch each press has its few seconds of light first; the card says in how many', () => {
  const one = element('inlay').pieces[0]!;
  const spots = Array.from({ length: 6 }, (_, i) => ({
    ...one,
    along: 0.2 + i * 0.25,
    length_mm: 1.5,
    width_mm: 1,
  }));
  const press = (torch: boolean) => {
    const set = setWearing([element('inlay', { pieces: spots })], (all) => {
      all.kit.lamps = torch
        ? [
            ...all.kit.lamps.filter((lamp) => !lamp.torch),
            { id: 'torch', name: 'Torch', programmes_s: [], torch: true },
          ]
        : all.kit.lamps.filter((lamp) => !lamp.torch);
      all.nails['left-ring'].build = 'tips';
    });
    return compileNail(set, 'left-ring').operations.find((operation) => operation.verb === 'press')!;
  };
  expect(press(true).words).toMatch(
    /^3 s of the torch, then press each flat .* before the next, [345] times/,
  );
  expect(press(true).fixed_s! / 3).toBe(Number(/(\d) times/.exec(press(true).words)![1]));
  expect(press(false).words).toMatch(/^Press each flat/);
  expect(press(false).fixed_s).toBeUndefined();
});

it('pieces of several nails are placed and pressed in turn: no other nail is worked on between', () => {
  const one = element('inlay').pieces[0]!;
  const spots = [0.3, 0.7, 1.1].map((along) => ({ ...one, along, length_mm: 1.5 }));
  const set = setWearing([element('inlay', { pieces: spots })], (all) => {
    for (const nail of NAILS)
      if (nail !== 'left-ring') all.nails[nail] = { ...all.nails[nail], look: all.nails['left-ring'].look };
  });
  const { sitting, operations } = planSet(set, { fixes: false, effort: { iterations: 200 } });
  const strokes = new Map(sitting.strokes.map((stroke) => [stroke.operation, stroke]));
  const pressed = NAILS.flatMap((nail) =>
    operations[nail].flatMap(({ verb, id }, i) =>
      verb === 'press' ? [{ before: strokes.get(operations[nail][i - 1]!.id)!, now: strokes.get(id)! }] : [],
    ),
  );
  expect(pressed.length).toBeGreaterThan(1);
  for (const { before, now } of pressed) expect(now.start_s).toBeCloseTo(before.end_s);
});

it('dried flowers and fabric are soaked through first, and counted by name', () => {
  const one = element('inlay').pieces[0]!;
  const flower = {
    ...one,
    shape: 'flower' as const,
    length_mm: 3,
    width_mm: 3,
    metallic: false,
    colour: '#b58ac0',
  };
  const set = setWearing([element('inlay', { pieces: [flower, { ...flower, along: 0.9 }] })]);
  const placed = compileNail(set, 'left-ring').operations.find(({ verb }) => verb === 'place')!;
  expect(placed.words).toMatch(/^Place 2 dried flowers, soaked through with clear first, no air in it/);
});
