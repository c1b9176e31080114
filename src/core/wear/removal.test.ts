import { buildKindOf, type Build } from '../craft/builds';
import { curtainUp } from '../demo/curtainUp';
import { matinee } from '../demo/matinee';
import { NAILS } from '../model/names';
import type { Worn } from '../model/wear';
import { planSet } from '../plan/planSet';
import { colourOn, QUICK, setWearing } from '../testing/sets';
import { wornOf } from './facts';
import { anewOf } from './removal';

describe('what is worn comes off first', () => {
  it('tips are clipped and soaked, stones nipped off before; what fell is bare, and nothing stops it', () => {
    const set = curtainUp();
    const worn = wornOf(set, planSet(set, QUICK), { on: '2026-03-01' });
    const fell: Worn = {
      ...worn,
      nails: {
        ...worn.nails,
        'left-index': {
          ...worn.nails['left-index']!,
          notes: [
            {
              on: '2026-03-09',
              what: 'fell',
              at: null,
              much: null,
              felt: [],
              note: '',
              photo: null,
              causes: [],
            },
          ],
        },
      },
    };
    const next = anewOf(set, fell, '2026-03-22');
    expect(next.nails['left-index'].start).toEqual({ kind: 'bare', dull: false });
    expect(next.nails['left-middle'].start).toMatchObject({
      kind: 'removal',
      product: 'soft-tip',
      stones: true,
    });
    expect(next.nails['left-little'].start).toMatchObject({
      kind: 'removal',
      product: 'soft-tip',
      stones: false,
    });
    const plan = planSet(next, QUICK);
    const verbs = plan.operations['left-middle'].map(({ verb }) => verb);
    expect(verbs.indexOf('stones-off')).toBeGreaterThanOrEqual(0);
    expect(verbs.indexOf('soak')).toBeGreaterThan(verbs.indexOf('stones-off'));
    expect(plan.operations['left-index'].some(({ verb }) => verb === 'soak')).toBe(false);
    expect(plan.findings.filter(({ severity }) => severity === 'stop')).toEqual([]);
  });

  it.each([
    ['natural-gel', 'gel', {}],
    ['natural-lacquer', 'lacquer', {}],
    ['natural-builder', 'hard-gel', {}],
    ['sculpted-form', 'acrylic', { material: 'acrylic' }],
    ['dip', 'dip', {}],
  ] as const)('%s comes off as %s', (kind, product, options) => {
    const set = setWearing([colourOn(kind)], (one) => {
      one.builds = [{ ...buildKindOf(kind).fresh('build'), ...options } as Build];
      for (const name of NAILS) one.nails[name].build = 'build';
    });
    const worn = wornOf(set, planSet(set, QUICK), { on: '2026-03-01' });
    expect(anewOf(set, worn, '2026-03-22').nails['left-ring'].start).toMatchObject({
      kind: 'removal',
      product,
    });
  });

  it('a natural nail in gel soaks as its guide says', () => {
    const set = matinee();
    const worn = wornOf(set, planSet(set, QUICK), { on: '2026-03-01' });
    expect(anewOf(set, worn, '2026-03-22').nails['left-thumb'].start).toMatchObject({
      product: 'gel',
      soak_s: 720,
    });
  });
});
