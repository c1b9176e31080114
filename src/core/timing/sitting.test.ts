import fc from 'fast-check';
import { curtainUp } from '../demo/curtainUp';
import { flyTower } from '../demo/flyTower';
import { matinee } from '../demo/matinee';
import { snowScene } from '../demo/snowScene';
import type { SetDocument } from '../document/document';
import type { Hand } from '../model/names';
import { NAILS } from '../model/names';
import { planNail } from '../plan/nailPlan';
import { lowerBound_s } from './bound';
import { boardOf } from './board';
import { leastLoads } from './leastLoads';
import { Player } from './play';
import { problemOf } from './pose';
import { AT_LENGTH, EDITING, FLOWS } from './effort';
import { costOf, search, WEIGHTS } from './search';
import type { Chain, Problem } from './problem';
import { replaySteps } from './replay';
import { bestSchedule, settle, type Found } from './sitting';
import { colourOn, element, setWearing } from '../testing/sets';

const planSitting = (problem: Problem) => bestSchedule(problem, { ...EDITING, iterations: 800 });

function problemFor(set: SetDocument): Problem {
  return problemOf(
    set,
    NAILS.map((nail) => {
      const plan = planNail(set, nail);
      return { nail, operations: plan.compiled.operations, states: plan.nominal.states };
    }),
  );
}

it.each(FLOWS)('even a short search comes well below what it begins with: %s', (flow) => {
  const board = boardOf(problemFor(snowScene()));
  const player = new Player(board);
  const [begun, found] = [0, 600].map((iterations) =>
    costOf(player.play(search(board, { iterations, seed: 1, flow })), WEIGHTS[flow]),
  );
  expect(found!).toBeLessThan(0.95 * begun!);
});

describe('the sitting of a set', () => {
  const set = matinee();
  const problem = problemFor(set);

  it('has a chain a nail and a task an operation', () => {
    expect(problem.chains).toHaveLength(10);
    for (const chain of problem.chains) {
      expect(chain.tasks.every((task) => task.operation.startsWith(`${chain.nail}/`))).toBe(true);
      expect(chain.thumb).toBe(chain.nail.endsWith('thumb'));
    }
  });

  it('takes longer on one’s own hands, and longer still with the weaker one at work', () => {
    const client = planSitting(problem).total_s;
    const own = planSitting(problemFor({ ...set, practice: { ...set.practice, wearer: 'own' } }));
    expect(own.total_s).toBeGreaterThan(client);
    // Nothing is worked on while either hand is in the lamp.
    for (const stroke of own.strokes) {
      for (const load of own.loads) {
        expect(stroke.start_s >= load.end_s - 1e-6 || stroke.end_s <= load.start_s + 1e-6).toBe(true);
      }
    }
    const one = own.strokes.find((stroke) => stroke.operation === 'right-ring/prep/buff#1')!;
    expect(one.end_s - one.start_s).toBeCloseTo(20 * 1.3, 6);
  });

  it('gives thumbs a load of their own only in that school', () => {
    const apart = planSitting(problem).loads;
    const together = planSitting(
      problemFor({ ...set, practice: { ...set.practice, thumbs: 'with-fingers' } }),
    ).loads;
    expect(
      apart.every((load) => load.nails.length === 1 || !load.nails.some((nail) => nail.endsWith('thumb'))),
    ).toBe(true);
    expect(together.every((load) => load.nails.length === 5)).toBe(true);
    expect(together.length).toBeLessThan(apart.length);
  });

  it('is quicker or equal with a second lamp, and keeps to a lamp’s programmes', () => {
    const two = {
      ...set,
      kit: { ...set.kit, lamps: [...set.kit.lamps, { ...set.kit.lamps[0]!, id: 'lamp-b' }] },
    };
    expect(planSitting(problemFor(two)).total_s).toBeLessThanOrEqual(planSitting(problem).total_s);
    for (const load of planSitting(problem).loads)
      expect([10, 30, 60, 90]).toContain(load.end_s - load.start_s);
  });

  it('brings a tip’s flash soon enough that nothing runs', () => {
    expect(planSitting(problemFor(curtainUp())).broken).toEqual([]);
  });

  it('a charm in a bead of acrylic keeps its hand from work until the bead has set', () => {
    const wearing = setWearing([colourOn('natural-gel'), element('charm', { bedding: 'acrylic' })]);
    const tasks = problemFor(wearing).chains.find(({ nail }) => nail === 'left-ring')!.tasks;
    const set = tasks.find((task) => task.operation.endsWith('/set#1'))!;
    expect([set.wait_s, set.settles]).toEqual([300, true]);
  });

  it('acrylic that goes dull over its pieces keeps its hand from work, also where gel below stays soft', () => {
    const slivers = element('inlay').pieces.map((one) => ({ ...one, metallic: true }));
    const pieces = (clear: string) =>
      element('inlay', { id: `in-${clear}`, clear, cap: 'float', pieces: slivers });
    const wearing = setWearing([pieces('cover-a'), pieces('acrylic-a')]);
    const chain = problemFor(wearing).chains.find(({ nail }) => nail === 'left-ring')!;
    const press = chain.tasks.findLastIndex((task) => task.operation.includes('/press#'));
    expect(chain.tasks[press]).toMatchObject({ wait_s: 60, settles: true });
    expect(chain.tasks[press + 1]).toMatchObject({ wait_s: 0 });
  });

  it('a nail that is sticky beside its dip is wiped in passing once that is hard, and not before', () => {
    const wearing = setWearing([
      colourOn('natural-gel'),
      element('french', { product: 'dip-white', passes: 2 }),
    ]);
    const tasks = problemFor(wearing).chains.find(({ nail }) => nail === 'left-ring')!.tasks;
    const wipeable = (step: string) => tasks.find((task) => task.operation.endsWith(step))!.wipeable ?? false;
    expect(['/tip-brush#2', '/activate#1', '/even#1'].map(wipeable)).toEqual([false, true, true]);
  });

  it('of the busiest set, in quick hands and looked for at length, comes near what no order can beat and the least loads', () => {
    const busy = problemFor(flyTower());
    const { total_s, loads, broken } = bestSchedule(busy, { ...AT_LENGTH, flow: 'quick' });
    expect(total_s).toBeLessThan(1.09 * lowerBound_s(busy));
    expect(loads.filter((load) => !load.held).length).toBeLessThan(1.15 * leastLoads(busy));
    expect(broken).toEqual([]);
  });
});

/** Every order of strokes of tiny sittings, each load closed as soon as it can be: the true shortest time. */
function shortest(jobs: { hand: Hand; paint: number; cure: number }[]): number {
  const orders = permutations(jobs);
  return Math.min(
    ...orders.map((order) => {
      let now = 0;
      let lamp = 0;
      const free: Record<Hand, number> = { left: 0, right: 0 };
      let end = 0;
      for (const job of order) {
        now = Math.max(now, free[job.hand]) + job.paint;
        const start = Math.max(now, lamp);
        lamp = start + job.cure;
        free[job.hand] = lamp;
        end = Math.max(end, lamp);
      }
      return end;
    }),
  );
}

function permutations<T>(items: readonly T[]): T[][] {
  if (items.length <= 1) return [[...items]];
  return items.flatMap((item, i) =>
    permutations([...items.slice(0, i), ...items.slice(i + 1)]).map((rest) => [item, ...rest]),
  );
}

describe('against every order of tiny sittings', () => {
  const job = fc.record({ paint: fc.integer({ min: 1, max: 60 }), cure: fc.integer({ min: 1, max: 60 }) });

  it('one coat a hand is optimal; the bound is never above the optimum', () => {
    fc.assert(
      fc.property(job, job, (left, right) => {
        const chain = (hand: Hand, { paint, cure }: { paint: number; cure: number }): Chain => ({
          nail: `${hand}-ring`,
          hand,
          thumb: false,
          tasks: [
            {
              operation: `${hand}/p`,
              hand_s: paint,
              class: 'p',
              rank: 0,
              dusty: false,
              wait_s: 0,
              wet: true,
              tacky: false,
            },
            {
              operation: `${hand}/c`,
              hand_s: 0,
              class: 'c',
              rank: 1,
              dusty: false,
              light: { mode: 'cure', seconds: cure },
              wait_s: 0,
              wet: false,
              tacky: true,
            },
          ],
        });
        const problem: Problem = {
          chains: [chain('left', left), chain('right', right)],
          lamps: [{ id: 'lamp', programmes_s: [] }],
          thumbs: 'apart',
          wearer: 'client',
          slower: { left: 1, right: 1 },
          changeover_s: 0,
        };
        const best = shortest([
          { hand: 'left', ...left },
          { hand: 'right', ...right },
        ]);
        const board = boardOf(problem);
        expect(new Player(board).schedule(search(board, { ...EDITING, iterations: 200 })).total_s).toBe(best);
        expect(lowerBound_s(problem)).toBeLessThanOrEqual(best + 1e-9);
      }),
    );
  });
});

describe('replaying a nail', () => {
  it('runs its own cures with the seconds of their loads, and the loads it is only along for', () => {
    const set = matinee();
    const plan = planNail(set, 'left-ring');
    const { operations } = plan.compiled;
    const sitting = planSitting(problemFor(set));
    const startOf = new Map(sitting.strokes.map((stroke) => [stroke.operation, stroke.start_s]));
    const steps = replaySteps('left-ring', operations, sitting.loads, startOf);
    const own = steps.filter((step) => 'operation' in step);
    expect(own.map((step) => ('operation' in step ? step.operation.id : ''))).toEqual(
      operations.map((one) => one.id),
    );
    const loads = sitting.loads.filter((load) => load.nails.includes('left-ring'));
    const lit = steps.filter((step) => step.light_s !== undefined);
    const last = Math.max(...operations.map((one) => startOf.get(one.id) ?? 0));
    expect(lit).toHaveLength(loads.filter((load) => load.start_s < last).length);
  });

  it('without loads leaves every operation as it was planned', () => {
    const { operations } = planNail(matinee(), 'left-ring').compiled;
    expect(replaySteps('left-ring', operations, [], new Map())).toEqual(
      operations.map((operation) => ({ operation })),
    );
  });
});

describe('a sitting that was found before', () => {
  const problem = problemFor(matinee());
  const effort = { ...EDITING, iterations: 300 };
  const first = settle(problem, effort);

  it('is the same again without a search, kept as text between', () => {
    const known = JSON.parse(JSON.stringify(first.found)) as Found;
    const again = settle(problem, { ...effort, iterations: 0 }, known);
    expect(again.wasKnown).toBe(true);
    expect(again.schedule).toEqual(first.schedule);
  });

  it.each<[string, Partial<Found>]>([
    ['of another problem', { mark: 'other' }],
    ['with a step twice', { order: [0, ...first.found.order.slice(0, -1)] }],
    ['with marks missing', { keep: [] }],
    ['with no numbers', { order: first.found.order.map(() => 0.5) }],
  ])('%s it is searched for anew', (_words, spoiled) => {
    const again = settle(problem, effort, { ...first.found, ...spoiled });
    expect(again.wasKnown).toBe(false);
    expect(again.schedule).toEqual(first.schedule);
  });
});
