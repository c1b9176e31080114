import { newSet } from '../../starter/newSet';
import { contextOf } from '../../compile/prepare';
import { codesOn, element, setWearing } from '../../testing/sets';
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
