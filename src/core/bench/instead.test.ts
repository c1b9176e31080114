import { matinee } from '../demo/matinee';
import { applyChange } from '../document/changes';
import { planSet } from '../plan/planSet';
import { begunAt } from '../timing/begun';
import { againOn, leftOutOn, spillWiped } from './instead';
import { layersBefore } from './shown';

const set = matinee();
const plan = planSet(set, { effort: { iterations: 200 }, fixes: false });
const operations = plan.operations['left-ring'];
const coat = operations.find(({ id }) => id.endsWith('/coat#1'))!;
/** Up to just before that coat, as it was planned. */
const begun = begunAt(
  plan.sitting,
  plan.sitting.strokes.find(({ operation }) => operation === coat.id)!.start_s,
);
const after = (change: ReturnType<typeof leftOutOn>) => {
  const next = applyChange(set, change);
  if (!next.ok) throw new Error(next.faults[0]!.message);
  return planSet(next.value, { effort: { iterations: 200 }, fixes: false, begun });
};

describe('what happens instead', () => {
  it('work left out on a nail goes with the light that was for it alone; all else is still done', () => {
    const on = after(leftOutOn(operations, [coat.id]));
    const gone = operations.filter(({ id }) => !on.operations['left-ring'].some((one) => one.id === id));
    expect(gone.map(({ id }) => id.split('/').slice(1).join('/'))).toEqual(
      expect.arrayContaining([coat.id.split('/').slice(1).join('/')]),
    );
    expect(gone.filter(({ lamp }) => lamp).length).toBeLessThanOrEqual(1);
    expect(on.sitting.missing).toEqual([]);
    expect(on.operations['right-ring'].length).toBe(plan.operations['right-ring'].length);
  });

  it('a film is laid again: wiped off while it is wet, one coat more once it is hard; of a part of the nail only the first', () => {
    const upTo = (id: string, of = operations) =>
      new Set(of.slice(0, of.findIndex((one) => one.id === id) + 1).map((one) => one.id));
    const wet = againOn(operations, upTo(coat.id))!;
    expect(wet.undone).toEqual([coat.id]);
    const cure = operations[operations.indexOf(coat) + 1]!;
    const hard = againOn(operations, upTo(cure.id))!;
    expect(hard.undone).toEqual([]);
    const next = applyChange(set, hard.change);
    if (!next.ok) throw new Error(next.faults[0]!.message);
    const more = planSet(next.value, { effort: { iterations: 60 }, fixes: false }).operations['left-ring'];
    const own = more.filter(({ element }) => element === 'own');
    expect(own.map(({ verb, product, lamp }) => [verb, product ?? lamp?.mode])).toEqual([
      ['coat', coat.product],
      ['cure', 'cure'],
    ]);
    // A French tip is a part of the nail: another coat over all of it would be another look.
    const tip = plan.operations['left-index'];
    const line = tip.find(({ deposit, place }) => deposit && place.region.kind !== 'whole')!;
    const itsCure = tip.slice(tip.indexOf(line)).find(({ lamp }) => lamp?.mode === 'cure')!;
    expect(againOn(tip, upTo(line.id, tip))!.undone).toEqual([line.id]);
    expect(againOn(tip, upTo(itsCure.id, tip))).toBeUndefined();
    // Nothing done, nothing again.
    expect(againOn(operations, new Set())).toBeUndefined();
  });

  it('a spill is wiped before what comes next on its nail, and not on another', () => {
    const on = after(spillWiped(operations, [coat.id])!);
    const ids = on.operations['left-ring'].map(({ id }) => id);
    const wipe = on.operations['left-ring'].find(({ words }) => words.startsWith('Wipe the spill'))!;
    expect(ids.indexOf(wipe.id)).toBeLessThan(ids.indexOf(coat.id));
    expect(on.sitting.strokes.some(({ operation }) => operation === wipe.id)).toBe(true);
    expect(on.sitting.missing).toEqual([]);
    // Before the first work on a nail there is nothing to spill.
    expect(spillWiped(operations, [operations[0]!.id])).toBeUndefined();
  });

  it('a nail is shown with all that lies on it once the round is done', () => {
    expect(layersBefore(operations, [coat.id])).toBe(operations.indexOf(coat) + 1);
    expect(layersBefore(operations, ['left-thumb/none/none#1'])).toBe(0);
  });
});
