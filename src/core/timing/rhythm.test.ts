import { acrossNails } from '../compile/acrossNails';
import { DEMO_SETS } from '../demo';
import { chance } from '../model/chance';
import { NAILS } from '../model/names';
import { withHandWipes } from '../plan/handWipes';
import { planNail } from '../plan/nailPlan';
import { planSet } from '../plan/planSet';
import { randomSet } from '../testing/randomLooks';
import { runs } from '../testing/runs';
import type { SetDocument } from '../document/document';
import { boardOf } from './board';
import { Player } from './play';
import { problemOf } from './pose';
import { rhythmOf } from './rhythm';
import { roundsOf } from './rounds';
import { search } from './search';

/** The lines of a sitting by hand, hand and words alone: nothing is shared with what is tested. */
function counted(lines: readonly (readonly [hand: string, words: string])[]) {
  let torn = 0;
  let returns = 0;
  lines.forEach(([hand, words], i) => {
    const before = lines.slice(0, i);
    if (before.some((one) => one[0] === hand && one[1] === words)) torn += 1;
    if (i > 0 && lines[i - 1]![1] !== words && before.some((one) => one[1] === words)) returns += 1;
  });
  return { lines: lines.length, torn, returns };
}

const operationsOf = (plan: ReturnType<typeof planSet>) => NAILS.flatMap((name) => plan.operations[name]);

/** Two drawings may be said alike: with the element they belong to they are two works. */
function linesOf(plan: ReturnType<typeof planSet>) {
  const operations = new Map(operationsOf(plan).map((one) => [one.id, one]));
  return plan.rounds
    .filter(({ kind }) => kind === 'work')
    .map((round) => {
      const { element, class: product, verb } = operations.get(round.operations[0]!)!;
      const own = ['draw', 'place', 'press', 'bead', 'set-in-top', 'set-in-colour', 'set-in-bead'].includes(
        verb,
      );
      return [round.hand, `${product} ${own ? element : ''} ${round.words}`] as const;
    });
}

/** What a short search has counted while it played, and what is counted on the rounds it comes to. */
function weighed(set: SetDocument) {
  const works = NAILS.map((nail) => {
    const { compiled, nominal } = planNail(set, nail);
    return { nail, compiled, operations: compiled.operations, states: nominal.states };
  });
  const { precedences } = acrossNails(
    set,
    works.map(({ operations }) => operations),
  );
  const board = boardOf(problemOf(set, works, precedences));
  const sequence = search(board, { iterations: 100, seed: 1, flow: 'balanced' });
  const tally = { ...new Player(board).play(sequence) };
  const sitting = new Player(board).schedule(sequence);
  const all = works.flatMap(({ compiled }) => withHandWipes(compiled, sitting.wipes));
  return { tally, rhythm: rhythmOf(roundsOf(sitting, all), all) };
}

describe('the rhythm of a sitting', () => {
  const planned = (set: SetDocument) => planSet(set, { fixes: false, effort: { iterations: 300 } });

  it.each(DEMO_SETS.map(({ id, make }) => [id, make] as const))(
    'is what its lines count to: %s',
    (_id, make) => {
      const plan = planned(make());
      expect(rhythmOf(plan.rounds, operationsOf(plan))).toEqual(counted(linesOf(plan)));
    },
  );

  it('is what a search has weighed, give or take a wipe', () => {
    for (let seed = 1; seed <= runs(6, 200); seed += 1) {
      const set = randomSet(chance(7700 + seed));
      const { tally, rhythm } = weighed(set);
      expect([seed, Math.abs(tally.torn - rhythm.torn) <= 2]).toEqual([seed, true]);
      expect([seed, Math.abs(tally.returns - rhythm.returns) <= 2]).toEqual([seed, true]);
    }
    for (const { make } of DEMO_SETS) {
      const { tally, rhythm } = weighed(make());
      expect([rhythm.torn, rhythm.returns]).toEqual([tally.torn, tally.returns]);
    }
  });

  it('a search over whole rounds takes less up again than one over strokes, on any set', () => {
    let whole = 0;
    let strokes = 0;
    for (let seed = 1; seed <= runs(6, 40); seed += 1) {
      const set = randomSet(chance(44_000 + seed));
      set.edits = [];
      for (const flow of ['quick', 'balanced'] as const) {
        set.practice.flow = flow;
        const plan = planned(set);
        const { torn, returns } = rhythmOf(plan.rounds, operationsOf(plan));
        if (flow === 'quick') strokes += torn + returns;
        else whole += torn + returns;
      }
    }
    expect(whole).toBeLessThan(0.7 * strokes);
  });
});
