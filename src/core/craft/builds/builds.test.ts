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
    const drafts = build.prep(build.fresh('test'), contextOf(set, 'left-ring', []));
    const soak = drafts.find((draft) => draft.verb === 'soak')!;
    expect(soak.wait_s).toBe(600);
    expect(drafts.indexOf(soak)).toBeLessThan(drafts.findIndex((draft) => draft.verb === 'push-back'));
  });

  it('prepares in the order the plate needs: shine, dust, wipe, dehydrate, prime', () => {
    const verbs = build
      .prep(build.fresh('test'), contextOf(newSet('a', 'A'), 'left-ring', []))
      .map((draft) => draft.verb);
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
    const fixing = field.films.find((film) => film.kind === 'film' && film.operation.endsWith('press-on#1'))!;
    const tip = field.films.find((film) => film.kind === 'tip')!;
    const beyond = (t: Float32Array) =>
      t.some((value, cell) => value > 0 && field.grid.y[Math.floor(cell / 28)]! > field.frame.bed_mm + 2);
    expect(beyond(fixing.t_um)).toBe(false);
    expect(beyond(tip.t_um)).toBe(true);
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
