import { techniqueOf } from '../craft/techniques';
import { DEMO_SETS } from '../demo';
import { curtainUp } from '../demo/curtainUp';
import { applyChange } from '../document/changes';
import type { SetDocument } from '../document/document';
import { element, setWearing } from '../testing/sets';
import { planSet } from './planSet';
import { shorten } from './shorten';
import { simplifications } from './simplifications';

const GROUND = ['colour', 'finish'];

/** The art of each look by name: what it is about, without ground and finish. */
function art(set: SetDocument): Map<string, string[]> {
  return new Map(
    set.looks.map((look) => [
      look.name,
      look.elements.map((one) => one.kind).filter((kind) => !GROUND.includes(kind)),
    ]),
  );
}

describe('what would shorten the sitting', () => {
  it('does so by as much as it says, the most first', () => {
    const set = curtainUp();
    const list = shorten(set);
    expect(list.length).toBeGreaterThan(0);
    expect(list.map((one) => one.saves_s)).toEqual(list.map((one) => one.saves_s).sort((a, b) => b - a));
    const total = (one: SetDocument) =>
      planSet(one, { effort: { iterations: 2500 }, fixes: false }).sitting.total_s;
    const now = total(set);
    for (const one of list.slice(0, 2)) {
      const next = applyChange(set, one.change);
      if (!next.ok) throw new Error(next.faults[0]!.message);
      expect(now - total(next.value)).toBeCloseTo(one.saves_s, -0.5);
    }
  });

  it.each(DEMO_SETS.map((demo) => [demo.id, demo] as const))(
    '%s: every look keeps its point',
    (_id, demo) => {
      const set = demo.make();
      const before = art(set);
      // All that could be proposed, whatever it saves.
      for (const one of simplifications(set)) {
        const next = applyChange(set, one.change);
        if (!next.ok) throw new Error(next.faults[0]!.message);
        for (const [look, kinds] of art(next.value)) {
          const left = [...before.get(look)!];
          for (const kind of kinds) left.splice(left.indexOf(kind), 1);
          // What is left off dresses up other art, and never all that a look has.
          expect(left.every((kind) => techniqueOf(kind).extra)).toBe(true);
          expect(kinds.length > 0 || before.get(look)!.length === 0).toBe(true);
        }
      }
    },
  );

  it('leaves off the stones beside a charm, not the charm', () => {
    const set = setWearing([element('colour'), element('charm'), element('crystals')]);
    const words = shorten(set).map((one) => one.words);
    const { name } = set.looks[0]!;
    expect(words).toContain(`${name} without its crystals`);
    expect(words).not.toContain(`${name} without its charm`);
  });
});
