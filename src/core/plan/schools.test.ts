import { buildKindOf, type Build } from '../craft/builds';
import type { Practice } from '../model/practice';
import { NAILS } from '../model/names';
import { element, setWearing } from '../testing/sets';
import { CELLS_X, type NailField } from '../simulate/field';
import { thickness_um } from '../simulate/layers';
import { sceneOf } from '../picture/scene';
import { planNail } from './nailPlan';
import { planSet } from './planSet';
import type { SetDocument } from '../document/document';
import type { Operation } from '../craft/operation';

/*
 * Schools the trade disagrees about (common practice): each plans without a stop, alone and together with every
 * other, and shows in the work itself.
 */
const LOOK = () => [element('colour'), element('inlay', { fit: 'keep' }), element('crystals')];

const working = (practice: Partial<Practice>, build: 'natural' | 'tips') => {
  const set = setWearing(LOOK());
  Object.assign(set.practice, practice);
  for (const name of NAILS) set.nails[name].build = build;
  return set;
};
const stops = (set: SetDocument) =>
  planSet(set, { effort: { iterations: 300 }, fixes: false })
    .findings.filter((one) => one.severity === 'stop')
    .map((one) => one.message);
const ring = (set: SetDocument): Operation[] => planNail(set, 'left-ring').compiled.operations;
const at = (operations: readonly Operation[], is: (one: Operation) => boolean) => operations.findIndex(is);

const CHOICES: {
  [K in 'base' | 'primer' | 'stones' | 'thumbs' | 'wearer' | 'stone_top']: readonly Practice[K][];
} = {
  base: ['leave', 'wipe'],
  primer: ['once', 'none'],
  stones: ['wet-top', 'bedded'],
  thumbs: ['apart', 'with-fingers'],
  wearer: ['client', 'own'],
  stone_top: ['around', 'over'],
};

describe('schools', () => {
  it('plan without a stop, every choice beside every other', () => {
    // Each pair of choices comes together at least once: rows of an orthogonal array of strength two, OA(8, 2^7).
    const rows = [0b000000, 0b100111, 0b111001, 0b011110, 0b101010, 0b001101, 0b010011, 0b110100];
    const fields = Object.keys(CHOICES) as (keyof typeof CHOICES)[];
    const pairs = new Set<string>();
    rows.forEach((row, i) => {
      const bits = fields.map((_, f) => (row >> f) & 1);
      bits.forEach((a, f) => bits.forEach((b, g) => f < g && pairs.add(`${f}${a}${g}${b}`)));
      const practice = Object.fromEntries(fields.map((field, f) => [field, CHOICES[field][bits[f]!]]));
      expect(stops(working(practice, i % 2 === 0 ? 'natural' : 'tips'))).toEqual([]);
    });
    expect(pairs.size).toBe(15 * 4);
  });

  it('base left tacky or wiped: wiped right after its cure, before what it carries', () => {
    const wiped = ring(working({ base: 'wipe' }, 'natural'));
    const wipe = at(wiped, (one) => one.step === 'wipe-base');
    expect(wiped.slice(wipe - 2, wipe).map((one) => one.verb)).toEqual(['base', 'cure']);
    const left = ring(working({ base: 'leave' }, 'natural'));
    expect(at(left, (one) => one.step === 'wipe-base')).toBe(-1);
  });

  it('primer once or none: the last thing on the plate before its base', () => {
    const once = ring(working({ primer: 'once' }, 'natural'));
    const prime = at(once, (one) => one.verb === 'prime');
    expect(once[prime + 1]!.verb).toBe('base');
    expect(ring(working({ primer: 'none' }, 'natural')).some((one) => one.verb === 'prime')).toBe(false);
  });

  it('stones in the wet top, or bedded with the top around them', () => {
    const wet = ring(working({ stones: 'wet-top' }, 'natural'));
    const set = at(wet, (one) => one.verb === 'set-in-top');
    expect(wet.slice(0, set).some((one) => one.verb === 'top')).toBe(true);
    expect(wet.slice(set + 1).find((one) => one.lamp)!.verb).toBe('cure');
    const bedded = ring(working({ stones: 'bedded' }, 'natural'));
    const bead = at(bedded, (one) => one.verb === 'bead');
    expect(bead).toBeGreaterThanOrEqual(0);
    expect(at(bedded, (one) => one.verb === 'set-in-bead')).toBeGreaterThan(bead);
    expect(bedded.some((one) => one.verb === 'set-in-top')).toBe(false);
  });

  describe('a top over set stones', () => {
    const films = (operations: readonly Operation[]) =>
      operations.filter((one) => ['top', 'matte-top', 'top-over'].includes(one.verb));
    const over = (look: Parameters<typeof setWearing>[0], practice: Partial<Practice> = {}) => {
      const set = setWearing(look);
      Object.assign(set.practice, { stone_top: 'over', ...practice });
      return set;
    };
    const told = (set: SetDocument, severities: readonly string[]) =>
      planSet(set, { effort: { iterations: 100 }, fixes: false })
        .findings.filter((one) => severities.includes(one.severity))
        .map((one) => one.code);

    it.each<[string, Parameters<typeof setWearing>[0], Partial<Practice>, string[]]>([
      ['in the wet top', [element('colour'), element('crystals')], {}, ['top', 'top-over']],
      ['bedded', [element('colour'), element('crystals')], { stones: 'bedded' }, ['top-over']],
      [
        'in the artist’s own matte',
        [element('colour'), element('finish'), element('crystals')],
        {},
        ['matte-top', 'top-over'],
      ],
      [
        'in glue, on the top',
        [element('colour'), element('crystals', { bedding: 'glue' })],
        {},
        ['top', 'top-over'],
      ],
      ['none of them', [element('colour'), element('charm')], {}, ['top']],
    ])('%s: set and hard first, then over them, and nothing is a stop', (_words, look, practice, verbs) => {
      const set = over(look, practice);
      const operations = ring(set);
      expect(films(operations).map((one) => one.verb)).toEqual(verbs);
      expect(told(set, ['stop', 'warn'])).toEqual([]);
      const noted = told(set, ['note']).filter((code) => code === 'stones-topped');
      expect(noted).toEqual(verbs.includes('top-over') ? ['stones-topped'] : []);
      const last = at(operations, (one) => one.verb === 'top-over');
      if (last < 0) return;
      const stones = operations.findLastIndex((one) => one.verb.startsWith('set-in') || one.verb === 'rest');
      expect(stones).toBeLessThan(last);
      // What it was topped with is hard before the oil.
      expect(operations.slice(last + 1).some((one) => one.verb === 'cure')).toBe(true);
    });

    it('keeps the artist’s finish, and goes round a charm beside the stones', () => {
      const looks = [element('colour'), element('finish'), element('crystals'), element('charm')];
      const last = films(ring(over(looks))).at(-1)!;
      expect(last.verb).toBe('top-over');
      expect(last.product).toBe(films(ring(over(looks)))[0]!.product);
      expect(last.place.free!.length).toBeGreaterThan(0);
      const stones = planNail(over(looks), 'left-ring').compiled.operations.find(
        (one) => one.verb === 'set-in-top',
      )!;
      expect(stones.place.around!.length).toBeGreaterThan(0);
      const at = ({ x, y }: { x: number; y: number }) => `${x.toFixed(3)} ${y.toFixed(3)}`;
      const free = new Set(last.place.free!.map(at));
      expect(stones.place.around!.some((one) => free.has(at(one)))).toBe(false);
    });

    it('takes their fire: facets are nearer to each other below it', () => {
      const contrast = (set: SetDocument) => {
        const { nominal } = planNail(set, 'left-ring');
        const product = (id: string) => set.kit.products.find((one) => one.id === id)!;
        const { standing } = sceneOf(nominal.field, product, 12);
        const { piece, shade } = standing[0]!;
        const r = piece.width_mm / 2;
        const lights = Array.from({ length: 8 }, (_, i) => {
          const angle = (i * Math.PI) / 4 + 0.1;
          return shade(
            piece.x_mm + 0.7 * r * Math.cos(angle),
            piece.y_mm + 0.7 * r * Math.sin(angle),
            [0.2, 0.2, 0.2],
          )[0];
        });
        return Math.max(...lights) - Math.min(...lights);
      };
      const look = [element('colour'), element('crystals')];
      const bare = contrast(over(look, { stone_top: 'around' }));
      expect(contrast(over(look))).toBeLessThan(bare * 0.6);
      expect(bare).toBeGreaterThan(0.1);
    });
  });

  describe('builds', () => {
    const builtAs = (build: Partial<Build>, look: Parameters<typeof setWearing>[0]) =>
      setWearing(look, (set) => {
        set.builds.push({ ...buildKindOf(build.kind!).fresh('mine'), name: 'Mine', ...build } as Build);
        for (const name of NAILS) {
          set.nails[name].build = 'mine';
          set.nails[name].in_work = name === 'left-ring';
        }
      });
    const told = (set: SetDocument) =>
      planSet(set, { effort: { iterations: 200 }, fixes: false })
        .findings.filter((one) => one.severity !== 'note')
        .map((one) => one.code);

    it('a mould topped as it comes, its outline filed alone; what needs a key gets it', () => {
      const asItComes = builtAs({ kind: 'upper-mould', keyed: false }, []);
      const verbs = ring(asItComes).map((one) => one.verb);
      expect(verbs.slice(verbs.indexOf('mould-off') + 1)).toEqual([
        'shape',
        'dust-off',
        'wipe',
        'top',
        'cure',
        'oil',
      ]);
      expect(told(asItComes)).toEqual([]);
      const coloured = builtAs({ kind: 'upper-mould', keyed: false }, [element('colour')]);
      expect(told(coloured)).toEqual([]);
      expect(ring(coloured).some((one) => one.step === 'key-under')).toBe(true);
      expect(told(builtAs({ kind: 'upper-mould', keyed: true }, [element('colour')]))).toEqual([]);
      // Pieces want their clear, and that a key: it is filed whatever was chosen.
      const inlaid = builtAs({ kind: 'upper-mould', keyed: false }, [element('inlay')]);
      expect(ring(inlaid).some((one) => one.step === 'level')).toBe(true);
    });

    it.each(['builder', 'putty', 'acrylic'] as const)(
      'a half tip of %s with its bed built in a colour, the tip clear past the smile line',
      (material) => {
        const french = { product: 'cover-a', smile: { rise_mm: 0, depth_mm: 2.5, tilt_mm: 0 } };
        const set = builtAs({ kind: 'half-tip', material, french }, []);
        const operations = ring(set);
        const bed = at(operations, (one) => one.words.startsWith('Build the bed in'));
        expect(operations[bed]!.product).toBe('cover-a');
        // Glued, blended and based before; clear over it afterwards.
        expect(at(operations, (one) => one.verb === 'blend')).toBeLessThan(bed);
        const over = operations.findLastIndex((one) => one.verb === 'cap');
        expect(over).toBeGreaterThan(bed);
        expect(operations[over]!.product).toBe(set.kit.roles[material === 'putty' ? 'putty' : 'builder']);
        expect(told(set)).toEqual([]);
      },
    );
  });

  it('the file thins the edge to what the practice leaves, and never builds it up', () => {
    const edges = [0.3, 0.5, 0.7, 1.1, 1.2].map((edge_mm) => {
      const { nominal } = planNail(working({ edge_mm }, 'tips'), 'left-ring');
      return thicknessAtEdge_mm(nominal.field);
    });
    expect(edges).toEqual([...edges].sort((a, b) => a - b));
    expect(edges[0]).toBeLessThan(edges[3]! - 0.1);
    expect(Math.abs(edges[2]! - 0.7)).toBeLessThan(0.1);
    expect(edges[4]).toBeCloseTo(edges[3]!, 6);
  });
});

/** Mean thickness in the middle of the last row of cells but one. */
function thicknessAtEdge_mm(field: NailField): number {
  const rows = field.grid.y.filter((y) => y < field.frame.length_mm - 0.4).length;
  const middle = Array.from({ length: 5 }, (_, i) => (rows - 1) * CELLS_X + Math.floor(CELLS_X / 2) - 2 + i);
  return middle.reduce((sum, cell) => sum + thickness_um(field, cell), 0) / middle.length / 1000;
}
