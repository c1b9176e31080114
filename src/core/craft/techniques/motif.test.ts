import { compileNail } from '../../compile/compile';
import { planNail } from '../../plan/nailPlan';
import { CURED, NONE } from '../../simulate/field';
import { applyChange } from '../../document/changes';
import { areaOf } from '../area';
import { MOTIFS, PATTERNS } from '../motifs';
import { polygonArea_mm2 } from '../../geometry/polygons';
import { paths } from '../../regions/paths';
import { Region } from '../../regions';
import { element, findingsOn, setWearing } from '../../testing/sets';

const motif = (over: Parameters<typeof element<'motif'>>[1] = {}) => element('motif', over);
const ground = element('colour', { id: 'ground', product: 'ivory-02' });
const colours = [
  { product: 'sage-03', region: paths.fresh },
  { product: 'velvet-04', region: { ...paths.fresh, paths: paths.fresh.paths.slice(0, 1) } },
];

describe('a motif of several colours', () => {
  it('is drawn in turn, a flash between, and cured as one; or each colour by itself', () => {
    const verbs = (cure: 'all' | 'each') =>
      compileNail(setWearing([ground, motif({ colours, cure })]), 'left-ring')
        .operations.filter(({ element: id }) => id === 'motif')
        .map(({ verb }) => verb);
    expect(verbs('all')).toEqual(['draw', 'flash', 'draw', 'cure']);
    expect(verbs('each')).toEqual(['draw', 'cure', 'draw', 'cure']);
  });

  describe('of three colours, the first two apart, the third over the first', () => {
    const oval = (along: number, width_mm: number) =>
      ({ kind: 'oval', across: 0, along, width_mm, length_mm: width_mm, turn_deg: 0 }) as const;
    const three = [
      { product: 'sage-03', region: oval(0.35, 3) },
      { product: 'amber-11', region: oval(1, 3) },
      { product: 'velvet-04', region: oval(0.35, 1.5) },
    ];

    it.each([
      ['each', ['draw', 'cure', 'draw', 'cure', 'draw', 'cure']],
      // What does not touch waits for one light; what would run into it does not.
      ['groups', ['draw', 'draw', 'cure', 'draw', 'cure']],
      ['all', ['draw', 'draw', 'flash', 'draw', 'cure']],
    ] as const)('cured %s', (cure, verbs) => {
      const set = setWearing([ground, motif({ colours: three, cure })]);
      const own = compileNail(set, 'left-ring').operations.filter(({ element: id }) => id === 'motif');
      expect(own.map(({ verb }) => verb)).toEqual(verbs);
      expect(findingsOn(set).map(({ code }) => code)).toEqual([]);
      const { nominal } = planNail(set, 'left-ring');
      for (const film of nominal.field.films)
        for (const phase of film.phase) if (phase !== NONE) expect(phase).toBe(CURED);
    });

    it('no longer than a film waits: what takes minutes is lit before', () => {
      const long = {
        ...three[1]!,
        region: {
          kind: 'dots',
          rows: 12,
          columns: 6,
          dot_mm: 0.4,
          pitch_mm: 0.8,
          turn_deg: 0,
          across: 0,
          along: 1.3,
          staggered: false,
        } as const,
      };
      const set = setWearing([ground, motif({ colours: [three[0]!, long], cure: 'groups' })]);
      const own = compileNail(set, 'left-ring').operations.filter(({ element: id }) => id === 'motif');
      expect(own.map(({ verb }) => verb)).toEqual(['draw', 'cure', 'draw', 'cure']);
    });
  });

  it('says on the card what each of its colours is, in how many strokes, how large and where', () => {
    const named = colours.map((one, i) => ({ ...one, name: i === 0 ? 'leaves' : 'stem' }));
    const words = (over: Parameters<typeof motif>[0]) =>
      compileNail(setWearing([ground, motif({ fit: 'keep', ...over })]), 'left-ring')
        .operations.filter(({ element: id, verb }) => id === 'motif' && verb === 'draw')
        .map((one) => one.words);
    expect(words({ colours: named })).toEqual([
      expect.stringMatching(
        /^Leaves in Sage 03, colour 1 of 2, 3 strokes, [\d.]+ × [\d.]+ mm, in the middle, [a-z ]+ up the nail bed$/,
      ),
      expect.stringMatching(
        /^Stem in Velvet 04, colour 2 of 2, one stroke, [\d.]+ × [\d.]+ mm, in the middle, [a-z ]+ up the nail bed$/,
      ),
    ]);
    const spot = { across: -0.5, along: 0.3, size: 0.4, turn_deg: 0, mirrored: false };
    expect(words({ colours: named.slice(0, 1), spots: [spot] })[0]).toMatch(
      /, little-finger side, a third up the nail bed$/,
    );
    const spots = [spot, { ...spot, along: 1 }, { ...spot, across: 0.4 }];
    expect(words({ colours: named.slice(0, 1), spots })[0]).toMatch(/mm each, in 3 places$/);
    // Drawn to fit its nail it is as large a part of each: one line on the card for all of them.
    expect(words({ fit: 'scale', colours: named })[0]).toMatch(
      /, 3 strokes, half the nail long, in the middle, [a-z ]+ up the nail bed$/,
    );
    // What has no name is called by its product.
    expect(words({ colours: colours.slice(0, 1) })[0]).toMatch(/^Sage 03, 3 strokes/);
  });

  it('every small motif that ships has a name for each of its colours', () => {
    for (const one of [...MOTIFS, ...PATTERNS]) {
      expect([one.key, one.names.length]).toEqual([one.key, one.colours.length]);
      for (const name of one.names) expect(name).toMatch(/^[a-z]/);
    }
  });

  it('in passes covers what it does not in one, cured between; the way out offers them', () => {
    const petals = (passes?: number) => [
      {
        product: 'ivory-02',
        region: { kind: 'oval', across: 0, along: 0.8, width_mm: 4, length_mm: 4, turn_deg: 0 } as const,
        ...(passes ? { passes } : {}),
      },
    ];
    const dark = element('colour', { id: 'ground', product: 'velvet-04' });
    const set = (passes?: number) => setWearing([dark, motif({ colours: petals(passes), cure: 'all' })]);
    const told = findingsOn(set()).find(({ code }) => code === 'see-through')!;
    expect(told.message).toBe('Ivory 02 does not cover what it is drawn over in 1 pass.');
    expect(told.tries[0]!.words).toBe('Draw it in 3 thin passes');
    expect(told.tries[0]!.change).toMatchObject({ element: { colours: [{ passes: 3 }] } });
    expect(findingsOn(set(3)).map(({ code }) => code)).toEqual([]);
    const own = compileNail(set(3), 'left-ring').operations.filter(({ element: id }) => id === 'motif');
    expect(own.map(({ step, verb }) => `${step} ${verb}`)).toEqual([
      'draw draw',
      'cure-1 cure',
      'draw-2 draw',
      'cure-2 cure',
      'draw-3 draw',
      'cure cure',
    ]);
  });

  it('drawn past the sidewall is told with its way back onto the nail, which ends it', () => {
    const past = {
      ...paths.fresh,
      paths: paths.fresh.paths.map((path) => ({
        ...path,
        points: path.points.map(({ across, along }) => ({ across: across + 0.7, along })),
      })),
    };
    const set = setWearing([
      ground,
      motif({ colours: [{ name: 'leaves', product: 'velvet-04', region: past }] }),
    ]);
    const told = findingsOn(set).find(({ code }) => code === 'region-off-the-plate')!;
    expect(told.message).toBe('Part of it lies outside the nail: leaves in Velvet 04.');
    expect(told.tries.map(({ words }) => words)).toEqual([
      'Draw all of it nearer to the middle',
      'Cut it at the edge of the nail',
      'Leave it off this nail',
    ]);
    for (const { change } of told.tries.slice(0, 2)) {
      const next = applyChange(set, change);
      if (!next.ok) throw new Error(next.faults[0]!.message);
      expect(findingsOn(next.value).map(({ code }) => code)).not.toContain('region-off-the-plate');
    }
  });

  it('is hard through at the end, with nothing to be said', () => {
    const set = setWearing([ground, motif({ colours, cure: 'all' })]);
    expect(findingsOn(set, 'left-middle').filter(({ severity }) => severity === 'stop')).toEqual([]);
    const { nominal } = planNail(set, 'left-middle');
    for (const film of nominal.field.films)
      for (const phase of film.phase) if (phase !== NONE) expect(phase).toBe(CURED);
  });

  it('takes longer the longer its strokes are, and a clean of the brush for each colour', () => {
    const seconds = (over: Parameters<typeof motif>[0]) =>
      compileNail(setWearing([ground, motif(over)]), 'left-middle')
        .operations.filter(({ element: id, verb }) => id === 'motif' && verb === 'draw')
        .reduce((sum, one) => sum + one.hand_s, 0);
    const one = seconds({ colours: colours.slice(0, 1) });
    expect(seconds({ colours })).toBeGreaterThan(one + 8);
    const longer = {
      ...paths.fresh,
      paths: paths.fresh.paths.map((path) => ({
        ...path,
        points: path.points.map(({ across, along }) => ({ across, along: along * 1.5 })),
      })),
    };
    expect(seconds({ colours: [{ product: 'sage-03', region: longer }] })).toBeGreaterThan(one);
  });

  it('strokes have the area of a line with round ends: length × width and a disc', () => {
    const region = {
      kind: 'paths' as const,
      paths: [
        {
          width_mm: 0.8,
          filled: false,
          points: [
            { across: 0, along: 0.4 },
            { across: 0, along: 0.9 },
          ],
        },
      ],
    };
    const { compiled } = planNail(
      setWearing([ground, motif({ fit: 'keep', colours: [{ product: 'sage-03', region }] })]),
      'left-middle',
    );
    const drawn = compiled.operations.find(({ element: id }) => id === 'motif')!;
    const { polygons } = areaOf(compiled.context.frame, drawn.place);
    const area = polygons.reduce((sum, one) => sum + polygonArea_mm2(one), 0);
    const scale = 14 / Math.min(14, compiled.context.frame.arc_mm);
    const straight = 0.5 * compiled.context.frame.bed_mm * scale * 0.8;
    // By its curve an end is cut off somewhere between square and round.
    expect(area).toBeGreaterThan(straight * 0.99);
    expect(area).toBeLessThan((straight + Math.PI * 0.4 ** 2) * 1.01);
  });

  it('with a loop, of no length, or of more strokes than there may be', () => {
    const at = { across: 0, along: 0.7 };
    const loop = [at, { across: 0.4, along: 1 }, { across: -0.4, along: 1 }, { across: 0.4, along: 0.6 }];
    for (const points of [loop, [at, at]]) {
      const region = { kind: 'paths' as const, paths: [{ width_mm: 0.4, filled: false, points }] };
      const set = setWearing([ground, motif({ colours: [{ product: 'sage-03', region }] })]);
      expect(planNail(set, 'left-little').compiled.operations.length).toBeGreaterThan(5);
    }
    const many = Array.from({ length: 61 }, () => ({ width_mm: 0.4, filled: false, points: [at, at] }));
    expect(Region.safeParse({ kind: 'paths', paths: many }).success).toBe(false);
    const long = Array.from({ length: 10_000 }, () => at);
    expect(
      Region.safeParse({ kind: 'paths', paths: [{ width_mm: 0.4, filled: false, points: long }] }).error!
        .issues[0]!.message,
    ).toMatch(/60/);
  });
});
