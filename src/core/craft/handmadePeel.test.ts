import { buildKindOf, type Build } from './builds';
import { compileNail } from '../compile/compile';
import type { SetDocument } from '../document/document';
import { codesOn, element, setWearing } from '../testing/sets';

const worn = (base: 'handmade' | 'coat', change: (set: SetDocument) => void = () => undefined) =>
  setWearing([element('colour')], (set) => {
    Object.assign(
      set.builds.find(({ id }) => id === 'natural')!,
      { base },
    );
    change(set);
  });
const steps = (set: SetDocument) => compileNail(set, 'left-ring').operations;

describe('a peel-off layer made by hand', () => {
  it('is oil and base in turns, each cured, lightly keyed, and no fault', () => {
    const set = worn('handmade');
    const made = steps(set).filter(({ element: of, stage }) => of === 'build' && stage === 'foundation');
    expect(made.map(({ verb }) => verb)).toEqual([
      'wipe',
      'peel-layer',
      'cure',
      'peel-layer',
      'cure',
      'wipe',
      'buff',
      'dust-off',
      'wipe',
    ]);
    expect(made[1]!.reason).toMatch(/bottle stands apart/);
    expect(codesOn(set)).toEqual([]);
  });

  it('has no dehydrator and no primer below it', () => {
    expect(steps(worn('handmade')).some(({ verb }) => verb === 'dehydrate' || verb === 'prime')).toBe(false);
    expect(steps(worn('coat')).some(({ verb }) => verb === 'dehydrate')).toBe(true);
  });

  it('holds half tips and builder too', () => {
    for (const kind of ['natural-builder', 'half-tip', 'gel-acrylic'] as const) {
      const set = worn('handmade', (one) => {
        one.builds.push({ ...buildKindOf(kind).fresh('own'), base: 'handmade' } as Build);
        one.nails['left-ring'].build = 'own';
      });
      expect([kind, codesOn(set).filter((code) => code !== 'underside-bare')]).toEqual([kind, []]);
    }
  });

  it('is one thing, and oil under a base that is to grip another', () => {
    const set = worn('coat', (one) => {
      const dry = steps(worn('coat')).findLast(({ stage }) => stage === 'prepare')!;
      one.edits = [
        {
          kind: 'insert',
          id: 'oil',
          nail: 'left-ring',
          after: dry.id,
          verb: 'oil',
          seconds: 5,
          words: 'Oil',
        },
      ];
    });
    expect(codesOn(set)).toContain('oil-before-layer');
  });
});
