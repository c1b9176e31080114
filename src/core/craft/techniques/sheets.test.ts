import { compileNail } from '../../compile/compile';
import { Element } from './index';
import { planNail } from '../../plan/nailPlan';
import { areaOf } from '../area';
import { polygonArea_mm2 } from '../../geometry/polygons';
import { drawNail } from '../../picture/nailPicture';
import { genericKit } from '../../starter/kit';
import { element, findingsOn, setWearing } from '../../testing/sets';
import { printedMotif, printOf } from '../prints';
import { sheets } from './sheets';

const GILT = genericKit().products.find(({ id }) => id === 'gilt-liner')!;
const OVAL = { kind: 'oval', across: 0, along: 0.8, width_mm: 5, length_mm: 5, turn_deg: 0 } as const;

const decal = (over: Parameters<typeof element<'sheets'>>[1] = {}) =>
  element('sheets', {
    what: 'decal',
    metallic: false,
    whole: 1,
    thickness_um: 20,
    region: { kind: 'oval', across: 0, along: 0.8, width_mm: 5, length_mm: 5, turn_deg: 0 },
    ...over,
  });
const onColour = (over: Parameters<typeof decal>[0] = {}) =>
  setWearing([element('colour', { id: 'ground' }), decal(over)]);

describe('sheets', () => {
  it('lie on tack under the seal with nothing to be said, by any way of laying', () => {
    for (const what of ['leaf', 'foil', 'decal'] as const)
      // Less than full: foil that is to be full wants a gel of its own.
      expect(findingsOn(onColour({ what, whole: 0.7 }), 'left-middle')).toEqual([]);
  });

  it('reach from wall to wall and are still closed: what lies over them goes past their edge', () => {
    for (const [from, to] of [
      [0, 2],
      [0.3, 0.8],
      [0.7, 1.4],
    ] as const)
      for (const what of ['leaf', 'foil'] as const)
        for (const nail of ['left-thumb', 'left-little'] as const) {
          const set = onColour({ what, region: { kind: 'band', from, to } });
          const open = findingsOn(set, nail).filter(({ code }) => code === 'not-sealed');
          expect([from, to, what, nail, open]).toEqual([from, to, what, nail, []]);
        }
  });

  it('have the volume of their outline: area × thickness × what is left of them', () => {
    for (const whole of [1, 0.4]) {
      const { nominal, compiled } = planNail(onColour({ whole }), 'left-middle');
      const film = nominal.field.films.find(({ sheet }) => sheet)!;
      const laid = film.t_um.reduce((sum, t) => sum + t, 0) * nominal.field.grid.cell_mm2;
      const [outline] = areaOf(compiled.context.frame, film.place).polygons;
      expect(laid / (polygonArea_mm2(outline!) * 20 * whole)).toBeCloseTo(1, 1);
    }
  });

  it('whose edge no film closes are told: it lifts there', () => {
    const set = onColour();
    set.edits = [{ kind: 'skip', a: 'left-middle/top/coat#1' }];
    const open = findingsOn(set, 'left-middle').find(({ code }) => code === 'not-sealed');
    expect(open!.element).toBe('sheets');
  });

  it('on a slick finish they are given tack, where they are listed', () => {
    const set = setWearing([
      element('colour', { id: 'ground' }),
      element('finish', { finish: 'gloss' }),
      decal(),
    ]);
    const { operations } = compileNail(set, 'left-ring');
    const laid = operations.findIndex(({ verb }) => verb === 'lay-sheet');
    expect(operations.slice(laid - 2, laid).map(({ verb }) => verb)).toEqual(['base', 'cure']);
    expect(operations.findIndex(({ element: of }) => of === 'finish')).toBeLessThan(laid);
  });

  describe('with a picture', () => {
    const shown = (over: Parameters<typeof decal>[0]) => {
      const set = onColour({ print: printOf('Star', '#00ff00'), ...over });
      const { nominal } = planNail(set, 'left-middle');
      const kit = new Map(set.kit.products.map((one) => [one.id, one]));
      const { data, width, height } = drawNail(nominal.field, (id) => kit.get(id)!, 10, 0);
      const at = { green: 0, blue: 0, left: Infinity, right: 0 };
      for (let i = 0; i < width * height; i += 1) {
        const [red, green, blue] = [data[4 * i]!, data[4 * i + 1]!, data[4 * i + 2]!];
        if (green > 2 * Math.max(red, blue, 40)) {
          at.green += 1;
          at.left = Math.min(at.left, i % width);
          at.right = Math.max(at.right, i % width);
        }
        if (blue > 2 * Math.max(red, green, 40)) at.blue += 1;
      }
      return { ...at, wide_mm: (at.right - at.left + 1) / 10 };
    };

    it('show its inks; what bears them is seen on a sticker and is clear on all else', () => {
      for (const what of ['decal', 'slid', 'stamp', 'sticker'] as const) {
        const { green, blue } = shown({ what, colour: '#0000ff' });
        expect([what, green > 200, blue > 200]).toEqual([what, true, what === 'sticker']);
      }
    });

    it('lie within their sheet in their own proportions, smaller with it', () => {
      const region = (size_mm: number) =>
        ({ kind: 'oval', across: 0, along: 0.8, width_mm: size_mm, length_mm: 9, turn_deg: 0 }) as const;
      const [wide, slim] = [shown({ region: region(8) }), shown({ region: region(4) })];
      expect(wide.wide_mm).toBeLessThan(8);
      expect(wide.wide_mm).toBeGreaterThan(5);
      // Half as wide, half as high: the green goes down by the square.
      expect(slim.wide_mm / wide.wide_mm).toBeCloseTo(0.5, 1);
      expect(slim.green / wide.green).toBeCloseTo(0.25, 1);
    });

    it('are named on the card, and in what the look is called', () => {
      const print = printOf('Two notes');
      const laid = compileNail(onColour({ print }), 'left-ring').operations.find(
        ({ verb }) => verb === 'lay-sheet',
      )!;
      expect(laid.words).toContain('two notes');
      expect(sheets.called(decal({ print }), (id) => id)).toBe('two notes decal');
      expect(sheets.called(decal({ print: null }), (id) => id)).toBe('decal oval');
    });

    it('may be what the artist drew, and are no part of leaf or foil', () => {
      const kept = { id: 'k', name: 'Owl', cure: 'all' as const, colours: [{ product: GILT, region: OVAL }] };
      expect(printedMotif(kept)).toEqual({ words: 'Owl', parts: [{ colour: GILT.colour, region: OVAL }] });
      expect(shown({ what: 'leaf' }).green).toBe(0);
    });
  });

  describe('what does not need tack', () => {
    const on = (what: 'slid' | 'sticker' | 'stamp', ...below: ReturnType<typeof element>[]) =>
      setWearing([element('colour', { id: 'ground' }), ...below, decal({ what, seat: 'surface' })]);
    const gloss = element('finish', { id: 'gloss', finish: 'gloss' });
    const matte = element('finish', { id: 'matte', finish: 'matte' });

    it.each(['slid', 'sticker', 'stamp'] as const)(
      '%s holds on colour and on what is cured slick or matte',
      (what) => {
        for (const below of [[], [gloss], [matte]]) {
          const found = findingsOn(on(what, ...below)).filter(({ severity }) => severity !== 'note');
          expect(found.map(({ code }) => code)).toEqual([]);
        }
      },
    );

    it('an image is rolled on once the tack is wiped off', () => {
      const set = on('stamp');
      const own = compileNail(set, 'left-ring').operations.filter(({ element: id }) => id === 'sheets');
      expect(own.map(({ verb }) => verb)).toEqual(['wipe', 'stamp']);
      set.edits = [{ kind: 'skip', a: 'left-ring/sheets/dry#1' }];
      const told = findingsOn(set).find(({ code }) => code === 'no-grip')!;
      expect(told.reason).toContain('a dry film');
      // Tack of its own would be no way out.
      expect(told.tries.map(({ words }) => words).join()).not.toMatch(/thin base/);
    });
  });

  it('of 3 mm are refused', () => {
    const parsed = Element.safeParse(decal({ thickness_um: 3000 }));
    expect(parsed.error!.issues[0]).toMatchObject({
      path: ['thickness_um'],
      message: 'must be at most 300 µm',
    });
  });

  it('lie in the mirror on the other hand', () => {
    const laid = (nail: 'left-ring' | 'right-ring') =>
      compileNail(onColour(), nail).operations.find(({ deposit }) => deposit?.kind === 'sheet')!;
    const [left, right] = [laid('left-ring'), laid('right-ring')];
    expect(right.deposit).toEqual({
      kind: 'sheet',
      sheet: { ...(left.deposit as never as { sheet: object }).sheet, mirror: true },
    });
    expect(right.place.mirror).toBe(true);
  });
});
