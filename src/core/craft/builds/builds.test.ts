import { newSet } from '../../starter/newSet';
import { contextOf } from '../../compile/prepare';
import { curtainUp } from '../../demo/curtainUp';
import type { SetDocument } from '../../document/document';
import { NAILS } from '../../model/names';
import { planSet } from '../../plan/planSet';
import type { Element } from '../techniques';
import { codesOn, element, QUICK, setWearing } from '../../testing/sets';
import { compileNail } from '../../compile/compile';
import { nominalSteps, simulateNail } from '../../simulate/simulate';
import { Build, BUILDS, buildKindOf } from './index';

describe.each(BUILDS.map((build) => [build.kind, build] as const))('%s', (kind, build) => {
  const wearing = () =>
    setWearing([element('colour')], (set) => {
      set.builds.push(build.fresh('test') as Build);
      set.nails['left-ring'].build = 'test';
    });

  it('starts as a build that the union takes', () => {
    expect(Build.safeParse(build.fresh('test')).success).toBe(true);
    expect(buildKindOf(kind)).toBe(build);
  });

  it('carries a plain colour without a word', () => {
    expect(codesOn(wearing())).toEqual([]);
  });

  it('soaks the old product off first where there is some', () => {
    const set = wearing();
    set.nails['left-ring'].start = { kind: 'removal', soak_s: 600 };
    const { arrive = [], prepare = [] } = build.stages(build.fresh('test'), contextOf(set, 'left-ring'));
    const drafts = [...arrive, ...prepare];
    const soak = drafts.find((draft) => draft.verb === 'soak')!;
    expect(soak.wait_s).toBe(600);
    expect(drafts.indexOf(soak)).toBeLessThan(drafts.findIndex((draft) => draft.verb === 'push-back'));
  });

  it('prepares in the order the plate needs: shine, dust, wipe, dehydrate, prime', () => {
    const { prepare = [] } = build.stages(build.fresh('test'), contextOf(newSet('a', 'A'), 'left-ring'));
    const verbs = prepare.map((draft) => draft.verb);
    const at = ['buff', 'dust-off', 'wipe', 'dehydrate', 'prime'].map((verb) =>
      verbs.indexOf(verb as (typeof verbs)[number]),
    );
    expect(at).toEqual([...at].sort((a, b) => a - b));
    expect(at[0]).toBeGreaterThanOrEqual(0);
  });
});

describe('builder over the natural nail', () => {
  const overlaid = (elements: Element[], change: (set: SetDocument) => void = () => undefined) =>
    setWearing(elements, (set) => {
      set.builds.push(buildKindOf('natural-builder').fresh('overlay') as Build);
      set.nails['left-ring'].build = 'overlay';
      change(set);
    });
  const card = (set: SetDocument) =>
    compileNail(set, 'left-ring').operations.map(({ words, lamp, hand_s }) =>
      lamp ? `${words}: ${lamp.seconds} s of light` : `${words}: ${hand_s} s`,
    );

  it('reads as it is done at a table', () => {
    expect(card(overlaid([element('colour')]))).toEqual([
      'Sanitise both people’s hands: 3 s',
      'Push back and clear the cuticle: 80 s',
      'File the free edge oval: 40 s',
      'Take the shine off: 20 s',
      'Brush the dust off: 2 s',
      'Wipe the last dust off, lint-free: 5 s',
      'Dehydrate with dehydrator: 3 s',
      'Prime with acid-free primer: 3 s',
      'Base A: 18 s',
      'Cure Base A: 60 s of light',
      'Build with Clear builder A: 39 s',
      'Flash Clear builder A: 12 s of light',
      'Cure Clear builder A: 69 s of light',
      'Wipe the sticky layer off: 5 s',
      'Level the builder with the file: 90 s',
      'Brush the dust off: 2 s',
      'Wipe the last dust off, lint-free: 5 s',
      'Velvet 04, coat 1 of 2: 20 s',
      'Cure Velvet 04: 60 s of light',
      'Velvet 04, coat 2 of 2: 20 s',
      'Cure Velvet 04: 60 s of light',
      'No-wipe top A: 18 s',
      'Cure No-wipe top A: 60 s of light',
      'Cuticle oil around the nail: 4 s',
    ]);
  });

  it('stands thickest at the apex, thin at the cuticle and the edge, and caps what lies in it', () => {
    const set = overlaid([element('colour'), element('inlay', { cap_um: 300 })]);
    const compiled = compileNail(set, 'left-ring');
    const caps = compiled.operations.filter((one) => one.verb === 'cap');
    expect(caps.map((one) => [one.words, one.deposit])).toEqual([
      ['Build over the pieces with Clear builder A', { kind: 'level', t_um: 450 }],
    ]);
    const plain = compileNail(overlaid([]), 'left-ring');
    const { field } = simulateNail(plain, 'plate', nominalSteps(plain.operations));
    const builder = field.films.find((film) => film.product === 'builder-a')!;
    const row = (y_mm: number) => field.grid.y.findIndex((y) => y >= y_mm);
    const at = (y_mm: number) => builder.t_um[row(y_mm) * 28 + 14]!;
    const { bed_mm, length_mm } = field.frame;
    expect(at(bed_mm * 0.9)).toBeGreaterThan(300);
    expect(at(1)).toBeLessThan(at(bed_mm * 0.9) * 0.6);
    expect(at(length_mm - 0.3)).toBeLessThan(at(bed_mm * 0.9));
  });

  it('a rod holds a long free edge, and a thin plate is told of the heat', () => {
    const long = overlaid([], (set) => (set.nails['left-ring'].plate.free_edge_mm = 8));
    const flash = compileNail(long, 'left-ring').operations.find((one) => one.step === 'flash-cap')!;
    expect(flash.reason).toMatch(/rod/);
    expect(
      codesOn(overlaid([element('colour')], (set) => (set.nails['left-ring'].conditions = ['thin']))),
    ).toEqual(['heat']);
  });

  it.each<[string, string[], string]>([
    ['the base is never cured', ['left-ring/build/cure-base#1'], 'uncured-covered'],
    [
      'the builder is never cured',
      ['left-ring/body/cure-cap#1', 'left-ring/body/flash-cap#1'],
      'wet-touched',
    ],
    ['it is filed with its sticky layer on', ['left-ring/body/wipe#1'], 'tacky-filed'],
    [
      'the dust stays under the colour',
      ['left-ring/body/brush#1', 'left-ring/body/clean#1'],
      'dust-under-layer',
    ],
  ])('is told where %s', (_words, skipped, code) => {
    const set = overlaid([element('colour')], (one) => {
      one.edits = skipped.map((a) => ({ kind: 'skip', a }));
    });
    expect(codesOn(set)).toContain(code);
  });

  it('carries the art of an opening night without a stop', () => {
    const set = curtainUp();
    set.builds.push(buildKindOf('natural-builder').fresh('overlay') as Build);
    for (const name of NAILS) {
      set.nails[name].build = 'overlay';
      set.nails[name].plate.free_edge_mm = 6;
    }
    const findings = planSet(set, QUICK).findings.filter((one) => one.severity !== 'note');
    expect(findings.map((one) => [one.code, one.message])).toEqual([]);
  });
});

describe('a full-cover tip', () => {
  it('stands past the free edge without a plate under it, fixed only where there is plate', () => {
    const set = setWearing([], (one) => (one.nails['left-ring'].build = 'tips'));
    const compiled = compileNail(set, 'left-ring');
    const { field } = simulateNail(compiled, 'tip', nominalSteps(compiled.operations));
    const part = (kind: string) =>
      field.films.find((film) => film.kind === kind && film.operation.endsWith('press-on#1'))!;
    const beyond = (t: Float32Array) =>
      t.some((value, cell) => value > 0 && field.grid.y[Math.floor(cell / 28)]! > field.frame.bed_mm + 2);
    expect(beyond(part('film').t_um)).toBe(false);
    expect(beyond(part('tip').t_um)).toBe(true);
    expect(beyond(part('hollow').t_um)).toBe(true);
  });

  it('is as wide as its nail, and its fixing gel thins to nothing at the sidewalls', () => {
    const set = setWearing([], (one) => (one.nails['left-ring'].build = 'tips'));
    const compiled = compileNail(set, 'left-ring');
    const { field } = simulateNail(compiled, 'tip', nominalSteps(compiled.operations));
    const films = field.films.filter((film) => film.operation.endsWith('press-on#1'));
    const tip = films.find((film) => film.kind === 'tip')!;
    const fixing = films.find((film) => film.kind === 'film')!;
    field.grid.inside.forEach((inside, cell) => expect(tip.t_um[cell]! > 0).toBe(inside === 1));
    const row = 16 * 28;
    expect(fixing.t_um[row + 14]!).toBeGreaterThan(100);
    expect(fixing.t_um[row + 26]!).toBeLessThan(fixing.t_um[row + 14]! * 0.6);
    // The plate's end is no step: from row to row the tip's upper face moves by less than a twentieth of a millimetre.
    for (let j = 3; j < 42; j += 1) {
      const upper = (k: number) => films.reduce((sum, film) => sum + film.t_um[k * 28 + 14]!, 0) + below(k);
      const below = (k: number) =>
        field.films
          .slice(0, field.films.indexOf(films[0]!))
          .reduce((sum, film) => sum + film.t_um[k * 28 + 14]!, 0);
      expect(Math.abs(upper(j + 1) - upper(j))).toBeLessThan(50);
    }
  });

  it('that was never cured is worked on while it is loose: a stop', () => {
    const set = setWearing([element('colour')], (one) => (one.nails['left-ring'].build = 'tips'));
    set.edits = [
      { kind: 'skip', a: 'left-ring/build/flash-tip#1' },
      { kind: 'skip', a: 'left-ring/build/cure-tip#1' },
    ];
    expect(codesOn(set)).toContain('wet-touched');
  });

  it('does not hold on a base that never cured', () => {
    const set = setWearing([element('colour')], (one) => (one.nails['left-ring'].build = 'tips'));
    set.edits = [{ kind: 'skip', a: 'left-ring/build/cure-base#1' }];
    expect(codesOn(set)).toContain('uncured-covered');
  });

  it('is not coloured with its shine on', () => {
    const set = setWearing([element('colour')], (one) => (one.nails['left-ring'].build = 'tips'));
    set.edits = [{ kind: 'skip', a: 'left-ring/build/key#1' }];
    expect(codesOn(set)).toContain('no-grip');
  });
});
