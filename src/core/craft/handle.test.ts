import fc from 'fast-check';
import { contextOf } from '../document/nailContext';
import { NAILS } from '../model/names';
import { chance } from '../model/chance';
import { randomSet } from '../testing/randomLooks';
import { element, setWearing } from '../testing/sets';
import { readPath } from './fieldPath';
import type { Field } from './technique';
import { Element, techniqueOf } from './techniques';

const on = (name: (typeof NAILS)[number]) => contextOf(setWearing([]), name);
const handlesOf = (one: Element, name: (typeof NAILS)[number] = 'left-middle') =>
  techniqueOf(one.kind).handles?.(one, on(name)) ?? [];
const handle = (one: Element, id: string, name: (typeof NAILS)[number] = 'left-middle') =>
  handlesOf(one, name).find((each) => each.id === id)!;

/** Figures that stand outside what their field lets in, by path. */
function pastTheirFields(fields: readonly Field[], value: unknown): string[] {
  return fields.flatMap((field): string[] => {
    const at = 'path' in field ? readPath(value, field.path) : undefined;
    if (field.kind === 'list' && Array.isArray(at))
      return at.flatMap((item, i) =>
        pastTheirFields(field.item, item).map((path) => `${field.path}.${i}.${path}`),
      );
    if (field.kind !== 'number' || typeof at !== 'number') return [];
    return at < field.min - 1e-9 || at > field.max + 1e-9 ? [field.path] : [];
  });
}

describe('what is taken hold of on the nail', () => {
  it('a piece lies where it is put, to a twentieth of a mm: 2.5 mm left of the middle, 4 past the cuticle', () => {
    const moved = handle(element('inlay'), 'piece-1').move({ x: -2.5, y: 4 });
    const at = handle(moved, 'piece-1').at;
    expect(at.x).toBeCloseTo(-2.5, 1);
    expect(at.y).toBeCloseTo(4, 1);
    expect(Math.hypot(at.x + 2.5, at.y - 4)).toBeLessThan(0.05);
    expect(handle(moved, 'piece-1').says).toBe('2.5 mm left, 4.0 mm from the cuticle');
    // The others stay where they are.
    const others = (one: Element) => (one.kind === 'inlay' ? [one.pieces[0], one.pieces[2]] : []);
    expect(others(moved)).toEqual(others(element('inlay')));
  });

  it('a piece is turned and drawn longer by its end, wider by its side', () => {
    const inlay = element('inlay');
    const middle = handle(inlay, 'piece-0').at;
    const turned = handle(inlay, 'piece-0-end').move({ x: middle.x - 3, y: middle.y });
    const scale = Math.min(1, on('left-middle').frame.arc_mm / 14);
    expect(turned.kind === 'inlay' && turned.pieces[0]).toMatchObject({ turn_deg: 90 });
    expect((turned.kind === 'inlay' ? turned.pieces[0]!.length_mm : 0) * scale).toBeCloseTo(6, 1);
    const side = handle(turned, 'piece-0-side').at;
    const wider = handle(turned, 'piece-0-side').move({ x: side.x, y: middle.y + 1 });
    expect((wider.kind === 'inlay' ? wider.pieces[0]!.width_mm : 0) * scale).toBeCloseTo(2, 1);
  });

  it('a smile line rises by its middle; its ends are even unless they are drawn apart', () => {
    const french = element('french');
    const { frame } = on('left-middle');
    const risen = handle(french, 'smile-middle').move({ x: 0, y: frame.bed_mm + 1.5 });
    expect(handle(risen, 'smile-middle').at.y).toBeCloseTo(frame.bed_mm + 1.5, 1);
    const right = handle(risen, 'smile-right').at;
    const nearly = handle(risen, 'smile-left').move({ x: 0, y: right.y - 0.2 });
    expect(nearly.kind === 'french' && nearly.region.kind === 'tip' && nearly.region.smile.tilt_mm).toBe(0);
    const apart = handle(risen, 'smile-left').move({ x: 0, y: right.y - 1 });
    expect(handle(apart, 'smile-left').at.y).toBeCloseTo(right.y - 1, 1);
    expect(handle(apart, 'smile-right').at.y).toBeCloseTo(right.y, 1);
  });

  it('a colour of a fade moves on its axis and never past its neighbour', () => {
    const fade = element('ombre');
    const { frame } = on('left-middle');
    const moved = handle(fade, 'stop-0').move({ x: 0, y: frame.length_mm * 0.4 });
    expect(moved.kind === 'ombre' && moved.stops[0]!.at).toBeCloseTo(0.4, 2);
    const past = handle(fade, 'stop-0').move({ x: 0, y: frame.length_mm });
    expect(past.kind === 'ombre' && past.stops.map((stop) => stop.at)).toEqual([0.85, 0.85]);
  });

  it('a charm keeps its size, a row of stones its arc', () => {
    const charm = element('charm');
    const turned = handle(charm, `${charm.id}-end`).move({ x: 5, y: 5 });
    expect(turned).toMatchObject({ width_mm: charm.width_mm, length_mm: charm.length_mm });
    const row = element('crystals');
    const lower = handle(row, 'row').move({ x: 0, y: handle(row, 'row').at.y + 1 });
    expect(lower.kind === 'crystals' && lower.inset_mm).toBeCloseTo(row.inset_mm + 1, 1);
  });

  it('a wave is drawn higher and longer by its first crest', () => {
    const waves = element('colour', {
      fit: 'keep',
      region: {
        kind: 'lines',
        count: 2,
        width_mm: 0.4,
        pitch_mm: 3,
        turn_deg: 0,
        across: 0,
        along: 0.8,
        crossed: false,
        wave: { rise_mm: 0.5, length_mm: 4 },
      },
    });
    for (const name of ['left-middle', 'right-middle'] as const) {
      const middle = handle(waves, 'lines', name).at;
      const side = name === 'left-middle' ? 1 : -1;
      expect(handle(waves, 'lines-wave', name).at).toEqual({
        x: expect.closeTo(middle.x + side * 0.5, 6) as number,
        y: expect.closeTo(middle.y + 1, 6) as number,
      });
      const moved = handle(waves, 'lines-wave', name).move({ x: middle.x + side * 1.2, y: middle.y + 1.5 });
      expect(moved).toMatchObject({ region: { wave: { rise_mm: 1.2, length_mm: 6 } } });
    }
  });

  it('letters are made larger and turned by their corner', () => {
    const letters = element('colour', {
      fit: 'keep',
      region: {
        kind: 'letters',
        text: 'H',
        height_mm: 4,
        width_mm: 0.4,
        turn_deg: 0,
        across: 0,
        along: 0.8,
      },
    });
    const middle = handle(letters, 'letters').at;
    const corner = handle(letters, 'letters-end').at;
    const [dx, dy] = [corner.x - middle.x, corner.y - middle.y];
    expect(dy).toBeCloseTo(2, 6);
    const turned = handle(letters, 'letters-end').move({ x: middle.x - 1.5 * dy, y: middle.y + 1.5 * dx });
    expect(turned).toMatchObject({ region: { turn_deg: 90, height_mm: 6 } });
  });

  it('turned over for the other hand, a thing goes where it is drawn there too', () => {
    const moved = handle(element('inlay'), 'piece-0', 'right-middle').move({ x: 2, y: 8 });
    const at = handle(moved, 'piece-0', 'right-middle').at;
    expect(Math.hypot(at.x - 2, at.y - 8)).toBeLessThan(0.06);
    expect(handle(moved, 'piece-0', 'left-middle').at.x).toBeCloseTo(-2, 1);
  });

  it('any handle of any element, drawn anywhere: a whole element again, and the handle under the finger', () => {
    const to = fc.record({
      x: fc.double({ min: -12, max: 12, noNaN: true }),
      y: fc.double({ min: -3, max: 30, noNaN: true }),
    });
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1e6 }), fc.constantFrom(...NAILS), to, (seed, name, point) => {
        const set = randomSet(chance(seed));
        const context = contextOf(set, name);
        for (const one of set.looks[0]!.elements) {
          const technique = techniqueOf(one.kind);
          for (const each of technique.handles?.(one, context) ?? []) {
            const there = each.move(each.at);
            expect(Element.safeParse(there).success).toBe(true);
            const still = technique.handles!(there, context).find((h) => h.id === each.id)!;
            // Sizes at their limits and ends that are even by their own rule may give way a little.
            expect(Math.hypot(still.at.x - each.at.x, still.at.y - each.at.y)).toBeLessThan(0.8);
            const moved = each.move(point);
            const parsed = Element.safeParse(moved);
            expect(parsed.success ? [] : parsed.error.issues).toEqual([]);
            expect(moved).toMatchObject({ id: one.id, kind: one.kind });
            expect(pastTheirFields(technique.fields, moved)).toEqual(pastTheirFields(technique.fields, one));
          }
        }
      }),
      { numRuns: 60, examples: [[308491, 'left-little', { x: 0, y: 1 }]] },
    );
  });
});
