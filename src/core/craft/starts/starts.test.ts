import { soakGuide_s } from './removal';
import { goldenCard } from '../../../../tests/goldenCard';
import { compileNail } from '../../compile/compile';
import { curtainUp } from '../../demo/curtainUp';
import type { SetDocument } from '../../document/document';
import { parseSet } from '../../document/parse';
import type { Edit } from '../../document/edits';
import { grown_mm } from '../../model/growth';
import { NAILS } from '../../model/names';
import { OLD_PRODUCTS, Start, type Mend } from '../../model/start';
import { planNail } from '../../plan/nailPlan';
import { planSet } from '../../plan/planSet';
import { factsOf } from '../../testing/facts';
import { codesOn, colourOn, QUICK, setWearing } from '../../testing/sets';
import { checkSitting } from '../../testing/sittingChecker';
import { BUILDS, type Build } from '../builds';
import { STARTS } from './index';

const wearing = (start: Start, build: object = {}, kind = 'natural-gel', edits: Edit[] = []) =>
  setWearing([colourOn(kind)], (set) => {
    const made = BUILDS.find((one) => one.kind === kind)!;
    set.builds.push({ ...made.fresh('test'), ...build } as Build);
    const nail = set.nails['left-ring'];
    nail.build = 'test';
    nail.start = start;
    nail.plate.free_edge_mm = 3;
    set.edits = edits;
  });
const removal = (product: (typeof OLD_PRODUCTS)[number], stones = false): Start => ({
  kind: 'removal',
  product,
  soak_s: soakGuide_s(product) ?? 720,
  stones,
});
const infill: Start = { kind: 'infill', weeks: 3, gap_mm: null, mend: 'no', stones: false };

const card = (set: SetDocument) =>
  compileNail(set, 'left-ring')
    .operations.filter((one) => ['arrive', 'prepare', 'foundation', 'body', 'shape'].includes(one.stage))
    .map(({ words, lamp, wait_s }) =>
      lamp ? `${words}: ${lamp.seconds} s` : wait_s ? `${words} … ${wait_s} s` : words,
    )
    .join('\n');

describe('how a nail’s work begins', () => {
  it.each([
    ['gel-with-stones', wearing(removal('gel', true))],
    ['acrylic', wearing(removal('acrylic'))],
    ['hard-gel', wearing(removal('hard-gel'))],
    ['infill', wearing(infill, {}, 'sculpted-form')],
    ['infill-acrylic', wearing(infill, { material: 'acrylic' }, 'sculpted-form')],
    ['finished', wearing({ kind: 'finished' })],
  ])('%s reads on its card as it is done at a table', (name, set) => {
    expect(card(set)).toBe(goldenCard(`start-${name}`, card(set)));
  });

  it.each(STARTS.map((start) => [start.kind, start] as const))(
    '%s starts as one a file takes',
    (_, start) => {
      expect(Start.safeParse(start.fresh()).success).toBe(true);
    },
  );

  it.each(OLD_PRODUCTS)('%s comes off before a new nail without a word', (product) => {
    const set = wearing(removal(product));
    expect(codesOn(set)).toEqual([]);
    const { field } = planNail(set, 'left-ring').nominal;
    expect(Math.max(...field.films.find((film) => film.kind === 'old')!.t_um)).toBe(0);
  });

  it.each(BUILDS.map((build) => build.kind))('%s is filled and painted over without a word', (kind) => {
    expect(codesOn(wearing(infill, {}, kind))).toEqual([]);
    expect(codesOn(wearing({ kind: 'finished' }, {}, kind))).toEqual([]);
  });

  describe.each(BUILDS.map((build) => build.kind))('%s', (kind) => {
    const told = (start: Start, build: object = {}) =>
      // A clear extension has its underside named, and a nail without a hand no wearer.
      codesOn(wearing(start, build, kind)).filter((code) => code !== 'underside-bare');
    const materials =
      'material' in BUILDS.find((one) => one.kind === kind)!.fresh('x')
        ? ['builder', 'putty', 'acrylic']
        : [undefined];

    it.each(materials)('on a practice tip: nothing of a plate, a hand or its skin (%s)', (material) => {
      const build = material ? { material } : {};
      expect(told({ kind: 'practice' }, build)).toEqual([]);
      const verbs = compileNail(wearing({ kind: 'practice' }, build, kind), 'left-ring').operations.map(
        (one) => one.verb,
      );
      const ofAHand = ['sanitise', 'push-back', 'dehydrate', 'prime', 'oil'] as const;
      for (const verb of ofAHand) expect(verbs).not.toContain(verb);
    });

    it.each(materials)('on a nail that is prepared and primed the work begins at once (%s)', (material) => {
      const build = material ? { material } : {};
      expect(told({ kind: 'prepared', primed: true }, build)).toEqual([]);
      expect(told({ kind: 'prepared', primed: false }, build)).toEqual([]);
      const { operations } = compileNail(
        wearing({ kind: 'prepared', primed: true }, build, kind),
        'left-ring',
      );
      const first = operations.findIndex(({ deposit, verb }) => deposit || verb === 'fit-form');
      const before_s = operations.slice(0, first).reduce((sum, one) => sum + one.hand_s, 0);
      expect(before_s).toBeLessThanOrEqual(kind === 'soft-gel-tip' || kind === 'on-stand' ? 130 : 70);
    });
  });

  const skip = (...ids: string[]): Edit[] => ids.map((id) => ({ kind: 'skip', a: `left-ring/${id}` }));
  it.each<[wrong: string, start: Start, kind: string, edits: Edit[], code: string]>([
    ['the top is left closed', removal('gel'), 'natural-gel', skip('prep/open-seal#1'), 'still-sealed'],
    [
      'it is pushed off without a soak',
      removal('dip'),
      'natural-gel',
      skip('prep/soak#1', 'prep/soak#2'),
      'not-softened',
    ],
    ['what was soaked is left on', removal('gel'), 'natural-gel', skip('prep/push-off#1'), 'work-left-out'],
    ['stones are left on', removal('gel', true), 'natural-gel', skip('prep/stones-off#1'), 'work-left-out'],
    ['hard gel is left on', removal('hard-gel'), 'natural-gel', skip('prep/file-down#1'), 'work-left-out'],
    ['an old top is filled over', infill, 'sculpted-form', skip('prep/file-back#1'), 'no-grip'],
    ['new growth keeps its shine', infill, 'natural-builder', skip('prep/buff#1'), 'unprepared-plate'],
    [
      'the gap is not dehydrated',
      infill,
      'natural-builder',
      skip('prep/dehydrate#1', 'prep/prime#1'),
      'unprepared-plate',
    ],
    ['a finished nail keeps its shine', { kind: 'finished' }, 'natural-gel', skip('prep/key#1'), 'no-grip'],
  ])('is told where %s', (_wrong, start, kind, edits, code) => {
    expect(codesOn(wearing(start, {}, kind, edits))).toContain(code);
  });
});

describe('a set that has grown out', () => {
  // Yaemsiri et al. 2010, J. Eur. Acad. Dermatol. Venereol. 24:420–423: 3.47 mm a month on fingers.
  it('grows 3.47 mm in a month', () => {
    expect(grown_mm(365.25 / 12 / 7)).toBeCloseTo(3.47, 9);
    expect(grown_mm(3)).toBeCloseTo(2.4, 1);
  });

  const films = (gap_mm: number | null) => {
    const { field } = planNail(
      wearing({ kind: 'infill', weeks: 3, gap_mm, mend: 'no', stones: false }, {}, 'sculpted-form'),
      'left-ring',
    ).nominal;
    return { field, old: field.films.find((film) => film.kind === 'old')! };
  };

  it('leaves the gap bare, its step filed to nothing, its old apex taken down by half', () => {
    const { field, old } = films(4);
    const along = (y_mm: number) => {
      const row = field.grid.y.findIndex((y) => y >= y_mm);
      return old.t_um[row * field.grid.x.length + field.grid.x.length / 2]!;
    };
    expect(along(3)).toBe(0);
    expect(along(4.2)).toBeLessThan(30);
    expect(along(11)).toBeGreaterThan(150);
    const { frame, grid } = field;
    const over = (from_mm: number, to_mm: number) =>
      [...grid.y.keys()]
        .filter((j) => grid.y[j]! > from_mm && grid.y[j]! < to_mm)
        .map((j) => along(grid.y[j]!));
    expect(Math.max(...over(0, frame.bed_mm - 5))).toBeLessThan(650 * 0.55);
    // Past the bed nothing but it carries: what is left is an edge, and the way there has no ledge.
    const free = over(frame.bed_mm, frame.length_mm);
    expect(Math.min(...free)).toBeGreaterThanOrEqual(Math.min(370, free.at(-1)!));
    const rise = over(frame.bed_mm - 6, frame.bed_mm + 3);
    for (const [i, t_um] of rise.entries()) if (i > 0) expect(Math.abs(t_um - rise[i - 1]!)).toBeLessThan(60);
  });

  it('is filed back in its own form: no place is laid bare before its crest', () => {
    const built = BUILDS.filter(({ edge, offHand }) => (edge === 'tip' || edge === 'form') && !offHand);
    expect(built.length).toBeGreaterThan(3);
    for (const { kind } of built) {
      const { field } = planNail(
        wearing({ kind: 'infill', weeks: 4, gap_mm: 2.8, mend: 'no', stones: false }, {}, kind),
        'left-ring',
      ).nominal;
      const old = field.films.find((film) => film.kind === 'old')!;
      const { grid, frame } = field;
      // Past the seam, and clear of the rim that the grid covers in part only.
      for (let cell = 0; cell < old.t_um.length; cell += 1) {
        const y = grid.y[Math.floor(cell / grid.x.length)]!;
        const x = grid.x[cell % grid.x.length]!;
        if (y > 7.5 && frame.halfWidth_mm(y) - Math.abs(x) > 1)
          expect([kind, old.t_um[cell]! > 20]).toEqual([kind, true]);
      }
    }
  });

  it('is bare as far as was measured, whatever the weeks say', () => {
    const bare = (gap_mm: number | null) => films(gap_mm).old.t_um.filter((t) => t === 0).length;
    expect(bare(6)).toBeGreaterThan(bare(null));
    expect(bare(1)).toBeLessThan(bare(null));
  });

  it('is filled on ten fingers without a stop, and its sitting keeps every rule', () => {
    const set = curtainUp();
    for (const nail of NAILS) set.nails[nail].start = { ...infill };
    const plan = planSet(set, QUICK);
    expect(plan.findings.filter((one) => one.severity === 'stop').map((one) => one.message)).toEqual([]);
    expect(checkSitting(factsOf(set, plan))).toEqual([]);
  });

  it('comes off ten fingers, each hand soaking at once', () => {
    const set = curtainUp();
    for (const nail of NAILS) set.nails[nail].start = removal('gel', true);
    const plan = planSet(set, QUICK);
    expect(plan.findings.filter((one) => one.severity === 'stop').map((one) => one.message)).toEqual([]);
    expect(checkSitting(factsOf(set, plan))).toEqual([]);
  });
});

describe('a broken nail beside those that are filled', () => {
  const planned = (mend: Mend) =>
    planNail(
      wearing({ kind: 'infill', weeks: 3, gap_mm: null, mend, stones: false }, {}, 'sculpted-form'),
      'left-ring',
    );
  const filed = (mend: Mend) => planned(mend).compiled.operations.find(({ verb }) => verb === 'file-back')!;

  it.each<[Mend, RegExp]>([
    ['crack', /the crack opened to a groove/],
    ['lift', /all that has lifted filed off/],
    ['chip', /the chip filed to a slope/],
  ])('with a %s has it opened to sound product, takes longer, and is told of a torn plate', (mend, words) => {
    const whole = filed('no');
    const one = filed(mend);
    expect(one.words).toMatch(words);
    expect(whole.words).not.toMatch(words);
    expect(one.hand_s).toBeGreaterThan(whole.hand_s);
    expect(one.caution).toMatch(/seen by a doctor.*mask/);
    expect(whole.caution).not.toMatch(/doctor/);
    // More of the old goes, and nothing of what follows is harmed by it.
    const old = (of: Mend) => planned(of).nominal.field.films.find(({ kind }) => kind === 'old')!;
    const sum = (of: Mend) => old(of).t_um.reduce((a, b) => a + b, 0);
    expect(sum(mend)).toBeLessThan(sum('no'));
    expect(codesOn(wearing({ kind: 'infill', weeks: 3, gap_mm: null, mend, stones: false }))).toEqual([]);
  });

  it('was whole in files up to version 18', () => {
    const set = wearing(infill);
    const file = structuredClone(set) as unknown as {
      version: number;
      nails: Record<string, { start: object }>;
    };
    file.version = 18;
    Reflect.deleteProperty(file.nails['left-ring']!.start, 'mend');
    expect(parseSet(file)).toEqual({ ok: true, value: set });
  });
});
