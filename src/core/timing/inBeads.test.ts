import { buildKindOf, type Build } from '../craft/builds';
import { leastOf, mostOf } from '../model/extent';
import { handOf, NAILS } from '../model/names';
import { planSet } from '../plan/planSet';
import { setWearing } from '../testing/sets';

/** Ten nails sculpted in acrylic on forms. */
const beaded = (wearer: 'client' | 'own') =>
  setWearing([], (set) => {
    set.builds = [{ ...buildKindOf('sculpted-form').fresh('form'), material: 'acrylic' } as Build];
    set.practice.wearer = wearer;
    for (const nail of NAILS) set.nails[nail].build = 'form';
  });

describe.each(['client', 'own'] as const)('acrylic on forms, hands of: %s', (wearer) => {
  const { sitting } = planSet(beaded(wearer), { effort: { iterations: 200 }, fixes: false });
  const spans = (step: string) => sitting.strokes.filter(({ operation }) => operation.includes(step));

  it('nothing comes too late, and the artist hardly stands idle', () => {
    expect(sitting.broken).toEqual([]);
    expect(sitting.total_s).toBeLessThan(1.25 * sitting.lower_bound_s);
  });

  it('all forms of a hand are on before its first beads, and the other hand has none meanwhile', () => {
    for (const hand of ['left', 'right'] as const) {
      const own = (step: string) => spans(step).filter(({ nail }) => handOf(nail as 'left-ring') === hand);
      const [forms, beads] = [own('/form#1'), own('/sculpt#1')];
      expect(mostOf(forms.map((one) => one.end_s))).toBeLessThanOrEqual(
        leastOf(beads.map((one) => one.start_s)),
      );
    }
  });

  it('the next nail is primed or beaded while the last sets: no hand is waited for from its pinch to its tap', () => {
    const pinches = spans('/pinch#1').toSorted((a, b) => a.start_s - b.start_s);
    const between = pinches.slice(1).map((one, i) => one.start_s - pinches[i]!.end_s);
    // Beads, and a primer before them; from one hand to the other it is longer.
    expect(between.filter((gap_s) => gap_s < 330).length).toBeGreaterThanOrEqual(8);
  });
});
