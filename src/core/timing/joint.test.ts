import fc from 'fast-check';
import type { SetDocument } from '../document/document';
import { NAILS, type NailName } from '../model/names';
import type { Plan } from '../plan/planSet';
import { planSet } from '../plan/planSet';
import { matinee } from '../demo/matinee';
import { newSet } from '../starter/newSet';

/* Whatever an artist says of the order, every piece of work is done, or told by name. */

const SHORTLY = { effort: { iterations: 40 }, fixes: false } as const;

/** Work and light that every nail asks for, counted from the operations, and what of it the sitting has. */
function unplaced({ operations, sitting }: Plan): string[] {
  const placed = new Set([
    ...sitting.strokes.map((one) => one.operation),
    ...sitting.loads.flatMap((one) => one.operations),
  ]);
  return NAILS.flatMap((nail) => operations[nail])
    .filter((one) => (one.hand_s > 0 || one.lamp) && !placed.has(one.id))
    .map((one) => one.id);
}

function holdsWhole(set: SetDocument): void {
  const plan = planSet(set, SHORTLY);
  expect(unplaced(plan)).toEqual([]);
  expect(plan.sitting.missing).toEqual([]);
  expect(plan.sitting.total_s).toBeGreaterThanOrEqual(plan.sitting.lower_bound_s - 0.01);
}

const fresh = planSet(newSet('new', 'New'), SHORTLY).operations;
const idOf = (nail: NailName, i: number) => fresh[nail][i % fresh[nail].length]!.id;

describe('work that is done together', () => {
  it.each([
    ['a new set', () => newSet('new', 'New')],
    ['Matinée', matinee],
  ])('%s: no preparation step is lost when two of one nail change places', (_words, make) => {
    const steps = planSet(make(), SHORTLY).operations['left-ring'].slice(0, 9);
    steps.slice(1).forEach((step, i) => {
      const set = make();
      set.edits = [{ kind: 'before', a: step.id, b: steps[i]!.id }];
      holdsWhole(set);
    });
  });

  it('stays together on the nails whose orders agree', () => {
    const set = newSet('new', 'New');
    set.edits = [{ kind: 'before', a: 'left-ring/prep/push-back#1', b: 'left-ring/prep/sanitise#1' }];
    const { strokes } = planSet(set, SHORTLY).sitting;
    const sanitised = strokes.flatMap((one, i) => (one.operation.includes('sanitise') ? [i] : []));
    const runs = sanitised.filter((at, i) => at !== sanitised[i - 1]! + 1);
    expect(sanitised).toHaveLength(10);
    expect(runs).toHaveLength(2);
  });

  it('any statements about any nails, in circles too: all is placed', () => {
    const nail = fc.constantFrom<NailName>(...NAILS);
    const id = fc.tuple(nail, fc.nat(30)).map(([name, i]) => idOf(name, i));
    const edit = fc.record({ kind: fc.constant('before' as const), a: id, b: id });
    fc.assert(
      fc.property(fc.array(edit, { minLength: 1, maxLength: 12 }), (edits) => {
        const set = newSet('new', 'New');
        set.edits = edits;
        holdsWhole(set);
      }),
      { numRuns: 25 },
    );
  });
});
