import { curtainUp } from '../demo/curtainUp';
import { matinee } from '../demo/matinee';
import { snowScene } from '../demo/snowScene';
import type { SetDocument } from '../document/document';
import { chance } from '../model/chance';
import { planSet, type Plan } from '../plan/planSet';
import { QUICK } from '../testing/sets';
import { courseOf } from './course';
import type { BenchEvent, CourseRound } from './log';
import { ownHands } from './ownTimes';

/* Sittings worked by hands that are known: what is found must be those hands. The hands share nothing with what finds them. */

const SETS: readonly SetDocument[] = [matinee(), curtainUp(), snowScene()];
const PLANS: readonly Plan[] = SETS.map((set) => planSet(set, QUICK));

/** What these hands need of each kind of work, by its name; a filing artist, and slow with a liner. */
function trueShare(verb: string): number {
  if (verb === 'file' || verb === 'shape') return 0.7;
  if (verb === 'draw') return 1.8;
  return 0.8 + ((verb.charCodeAt(0) * 7 + verb.length * 13) % 9) / 10;
}

type Chance = ReturnType<typeof chance>;

/** A number of mean 0 and spread 1, by the sum of twelve even ones (Irwin–Hall). */
const normal = (by: Chance) =>
  Array.from({ length: 12 }, () => by.below(10_000) / 10_000).reduce((a, b) => a + b) - 6;

/** A round's hand seconds as these hands take them, each piece by its own share; some are called away for half an hour. */
function took_s(round: CourseRound, by: Chance, called: boolean): number {
  const work = round.pieces.reduce((sum, { seconds, light, work: own }) => {
    if (light || !own) return sum + seconds;
    return sum + own.fixed_s + own.guide_s * trueShare(own.verb) * Math.exp(0.12 * normal(by));
  }, 0);
  return called ? work + 1800 : work;
}

function simulated(count: number) {
  const by = chance(11);
  const called: string[] = [];
  const benches = Array.from({ length: count }, (_, i) => {
    const course = courseOf(PLANS[i % PLANS.length]!, SETS[i % SETS.length]!);
    let at_ms = i * 86_400_000;
    const events: BenchEvent[] = [{ what: 'begun', at_ms }];
    for (const round of course) {
      if (round.kind === 'load') continue;
      const away = by.below(100) < 3;
      if (away) called.push(`${i} ${events.length}`);
      const from_ms = at_ms;
      at_ms += 1000 * took_s(round, by, away);
      events.push({ what: 'done', at_ms, from_ms, words: round.words, by: 'tap', pieces: round.pieces });
    }
    return { set: String(i), events };
  });
  return { benches, called };
}

const { benches, called } = simulated(200);
const found = ownHands(benches);

describe('the artist’s own times, of 200 sittings by hands that are known', () => {
  it('are those hands to 5 %, each kind of work', () => {
    const told = found.times.filter(({ hand, times }) => hand === undefined && times >= 20);
    expect(told.length).toBeGreaterThan(15);
    const off = told.filter(({ work, share }) => Math.abs(share / trueShare(work) - 1) > 0.05);
    expect(off).toEqual([]);
    // Both hands were worked alike, and are not told apart.
    expect(found.times.filter(({ hand }) => hand)).toEqual([]);
  });

  it('without what was broken off, which is named', () => {
    const named = new Set(
      found.rounds.filter(({ counts }) => !counts).map(({ set, event }) => `${set} ${event}`),
    );
    const known = new Set(found.rounds.map(({ set, event }) => `${set} ${event}`));
    const missed = called.filter((one) => known.has(one) && !named.has(one));
    expect(missed).toEqual([]);
    // And hardly anything else is.
    expect(named.size - called.filter((one) => named.has(one)).length).toBeLessThan(
      found.rounds.length / 200,
    );
  });

  it('move the next plan to what these hands really need', () => {
    SETS.forEach((set, i) => {
      const next = planSet({ ...set, practice: { ...set.practice, own_times: found.times } }, QUICK);
      const course = courseOf(PLANS[i]!, set);
      const really = course
        .flatMap(({ pieces }) => pieces)
        .reduce(
          (sum, { work, light }) => sum + (work && !light ? work.guide_s * trueShare(work.verb) : 0),
          0,
        );
      const planned = Object.values(next.operations)
        .flat()
        .reduce((sum, one) => sum + one.hand_s - (one.fixed_s ?? 0), 0);
      expect(Math.abs(planned / really - 1)).toBeLessThan(0.05);
      expect(Math.abs(next.sitting.total_s - PLANS[i]!.sitting.total_s)).toBeGreaterThan(60);
      // How far they reach is theirs as well, and narrower than what is said of any hands.
      expect((next.sitting.high_s - next.sitting.low_s) / next.sitting.hand_work_s).toBeLessThan(0.35);
    });
  });

  it('do not feed on themselves: a plan that goes by them tells the same hands', () => {
    const set = { ...SETS[0]!, practice: { ...SETS[0]!.practice, own_times: found.times } };
    const guides = (plan: Plan, of: SetDocument) =>
      new Map(
        courseOf(plan, of).flatMap(({ pieces }) =>
          pieces.map(({ operation, work }) => [operation, work?.guide_s]),
        ),
      );
    const [plain, own] = [guides(PLANS[0]!, SETS[0]!), guides(planSet(set, QUICK), set)];
    const differ = [...plain].filter(([id, guide]) => own.has(id) && own.get(id) !== guide);
    expect(differ).toEqual([]);
  });
});

describe('what counts among them', () => {
  const done = (i: number, took: number, operation = 'left-ring/ground/coat#1'): BenchEvent => ({
    what: 'done',
    at_ms: 100_000 * i + took * 1000,
    from_ms: 100_000 * i,
    words: 'Rose nude',
    by: 'key',
    pieces: [
      { operation, seconds: 20, work: { verb: 'coat', family: 'gel-colour', guide_s: 20, fixed_s: 0 } },
    ],
  });
  const shares = (all: number[]) => ({ set: 'a', events: all.map((share, i) => done(i, 20 * share)) });

  it('is the middle of all and its hinges: of 1, 1.1, 1.2, 1.3, 1.5 they are 1.2, 1.1 and 1.3 (Tukey 1977, by hand)', () => {
    expect(ownHands([shares([1.5, 1, 1.1, 1.3, 1.2, 9])]).times).toEqual([
      { work: 'coat', family: 'gel-colour', share: 1.2, from: 1.1, to: 1.3, times: 5 },
    ]);
    expect(ownHands([shares([1, 1])]).times).toEqual([]);
  });

  it('is what the artist says: one that is far off may count, one that is not may be left out; what is older does not', () => {
    const bench = shares([1, 1, 1, 9]);
    const said = (of: number, counts: boolean): BenchEvent => ({ what: 'counted', at_ms: 1e9, of, counts });
    const times = (events: BenchEvent[]) =>
      ownHands([{ set: 'a', events: [...bench.events, ...events] }]).times[0]?.times;
    expect([times([]), times([said(3, true)]), times([said(0, false)])]).toEqual([3, 4, undefined]);
    expect(ownHands([bench], 120_000).rounds).toHaveLength(2);
  });

  it('is told of one hand alone where the two differ, and of no log without its guide', () => {
    const own = (hand: string, share: number) =>
      Array.from({ length: 10 }, (_, i) => done(i, 20 * (share + i / 100), `${hand}-ring/ground/coat#1`));
    const { times } = ownHands([{ set: 'a', events: [...own('left', 1), ...own('right', 1.5)] }]);
    expect(times.map(({ hand, share }) => [hand, share])).toEqual([
      [undefined, 1.3],
      ['left', 1.05],
      ['right', 1.55],
    ]);
    const bare = shares([1, 1, 1]).events.map((one) =>
      one.what === 'done' ? { ...one, pieces: [{ operation: 'left-ring/a/coat#1', seconds: 20 }] } : one,
    );
    expect(ownHands([{ set: 'a', events: bare }]).rounds).toEqual([]);
  });
});
