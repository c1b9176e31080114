import { element, QUICK, setWearing } from '../testing/sets';
import { planSet } from '../plan/planSet';
import type { BenchEvent } from './log';
import type { Element } from '../craft/techniques';
import { openRecipe, recipeEvent, recipesOf } from './recipes';

const asked = (...elements: Element[]) => {
  const set = setWearing(elements);
  const plan = planSet(set, QUICK);
  const all = Object.values(plan.operations).flatMap((own) => own.map(({ id }) => id));
  return {
    all,
    of: (round: readonly string[]) => recipesOf(set, plan.operations, round),
    open: (events: readonly BenchEvent[]) => openRecipe(set, plan.operations, events, all),
  };
};

describe('recipes at the table', () => {
  it('are asked for of a magnet, a marble and a mix, once for the nails that have them alike; of a plain coat nothing', () => {
    const { all, of } = asked(
      element('colour'),
      element('magnetic', { id: 'eye' }),
      element('marbled', { id: 'veins', ground: false }),
      element('wash', { id: 'smoke' }),
    );
    const found = of(all);
    expect(found.map(({ words, nails }) => [words, nails.length])).toEqual([
      ['Cat-eye', 10],
      ['Marble', 10],
      ['Tint, wash, smoke', 10],
    ]);
    expect(found[0]!.figures.map(({ path, value }) => [path, value])).toEqual([
      ['across', 0],
      ['along', 0.8],
      ['turn_deg', 25],
      ['distance_mm', 4],
      ['hold_s', 8],
    ]);
    // Parts by the names of what was poured.
    expect(found[1]!.figures.map(({ words, value }) => [words, value])).toEqual([
      ['Velvet 04', 0.3],
      ['Amber 11', 0.7],
      ['Stirred', 0.15],
    ]);
    expect(of(all.filter((id) => id.includes('/colour/')))).toEqual([]);
    expect(of(all.filter((id) => id.startsWith('left-ring/eye/magnet')))[0]!.nails).toEqual(['left-ring']);
  });

  it('are kept as planned, or as they really were: what is not said was as planned', () => {
    const { all, of } = asked(element('magnetic', { id: 'eye' }));
    const [eye] = of(all);
    expect(recipeEvent(eye!, 5)).toMatchObject({ what: 'recipe', at_ms: 5, kept: true });
    const other = recipeEvent(eye!, 5, { hold_s: 11 });
    expect(other.kept).toBe(false);
    expect(other.figures.find(({ path }) => path === 'hold_s')).toMatchObject({ value: 11, unit: 's' });
    expect(other.figures.find(({ path }) => path === 'distance_mm')?.value).toBe(4);
  });

  it('are asked for until they are said, of a mix of two passes once', () => {
    const { open } = asked(element('wash', { id: 'smoke', passes: 2 }), element('magnetic', { id: 'eye' }));
    const first = open([])!;
    const second = open([
      recipeEvent({ ...first, operations: first.operations.filter((id) => id.endsWith('#1')) }, 5),
    ])!;
    expect([first.words, second.words].sort()).toEqual(['Cat-eye', 'Tint, wash, smoke']);
    expect(open([recipeEvent(first, 5), recipeEvent(second, 6)])).toBeUndefined();
  });
});
