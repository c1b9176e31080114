import { DEMO_SETS } from '../demo';
import { curtainUp } from '../demo/curtainUp';
import { matinee } from '../demo/matinee';
import { chance } from '../model/chance';
import { factsOf } from '../testing/facts';
import { checkSitting } from '../testing/sittingChecker';
import { runs } from '../testing/runs';
import { begunAt } from '../timing/begun';
import type { Begun } from '../timing/problem';
import { planSet, type Plan } from './planSet';

/* A sitting that is under way: what is done stands as it was done, and the rest is planned from that moment on. */

const effort = { iterations: 300 };
const plain = (begun?: Begun) => ({ effort, fixes: false, begun });
/** Moments at which the artist lays something down. */
const moments = ({ rounds }: Plan) => rounds.filter(({ kind }) => kind === 'work').map(({ end_s }) => end_s);

describe('a sitting under way', () => {
  it.each(DEMO_SETS.filter(({ id }) => id !== 'understudy').map((demo) => [demo.id, demo] as const))(
    '%s: cut anywhere it goes on without a fault, what is done stands, and it ends about as soon',
    (_id, demo) => {
      const set = demo.make();
      const plan = planSet(set, plain());
      const by = chance(7);
      for (let i = 0; i < runs(1, 20); i += 1) {
        const now_s = by.pick(moments(plan));
        const begun = begunAt(plan.sitting, now_s);
        const on = planSet(set, plain(begun));
        expect(on.sitting.missing).toEqual([]);
        expect(on.sitting.strokes.slice(0, begun.strokes.length + begun.wipes.length)).toEqual(
          plan.sitting.strokes.filter(({ end_s }) => end_s <= now_s),
        );
        expect(on.sitting.loads.slice(0, begun.loads.length)).toEqual(begun.loads);
        const rest = on.sitting.strokes.slice(begun.strokes.length + begun.wipes.length);
        expect(rest.every(({ start_s }) => start_s >= now_s)).toBe(true);
        expect(checkSitting(factsOf(set, on))).toEqual([]);
        expect(on.sitting.total_s).toBeLessThan(plan.sitting.total_s * 1.1);
      }
    },
  );

  it('that is all done is at its end; one that has not begun is as it was planned', () => {
    const set = matinee();
    const plan = planSet(set, plain());
    const end = planSet(set, plain(begunAt(plan.sitting, plan.sitting.total_s)));
    expect(end.sitting.strokes).toEqual(plan.sitting.strokes);
    expect(end.sitting.total_s).toBe(plan.sitting.total_s);
    const start = planSet(set, plain({ now_s: 0, strokes: [], loads: [], wipes: [] }));
    expect(start.sitting.strokes).toEqual(plan.sitting.strokes);
  });

  it('waits for a lamp that is on, and for the hand in it', () => {
    const set = curtainUp();
    const plan = planSet(set, plain());
    const load = plan.sitting.loads.find(({ held, end_s, start_s }) => !held && end_s - start_s >= 60)!;
    const now_s = load.start_s + 20;
    const on = planSet(set, plain(begunAt(plan.sitting, now_s)));
    const next = on.sitting.loads.filter(({ lamp, start_s }) => lamp === load.lamp && start_s > load.start_s);
    expect(Math.min(...next.map(({ start_s }) => start_s))).toBeGreaterThanOrEqual(load.end_s);
    const work = on.sitting.strokes.filter(({ hand, start_s }) => hand === load.hand && start_s >= now_s);
    expect(Math.min(...work.map(({ start_s }) => start_s))).toBeGreaterThanOrEqual(load.end_s);
  });

  it('judges a light by the seconds it really gave: cut short, the film is still soft', () => {
    const set = matinee();
    const plan = planSet(set, plain());
    const load = plan.sitting.loads.findLast(({ mode }) => mode === 'cure')!;
    const short = { ...load, end_s: load.start_s + 12 };
    const begun = begunAt(plan.sitting, load.end_s);
    const on = planSet(
      set,
      plain({ ...begun, loads: begun.loads.map((one) => (one === load ? short : one)) }),
    );
    const told = on.findings.filter(({ code }) => ['under-cured', 'uncured-covered'].includes(code));
    expect(told.length).toBeGreaterThan(0);
    expect(plan.findings.some(({ code }) => code === 'under-cured')).toBe(false);
  });

  it('ended late has its lateness in it: primer that waited is told', () => {
    const set = matinee();
    const plan = planSet(set, plain());
    const primed = plan.rounds.find(({ operations }) => operations[0]!.endsWith('prep/prime#1'))!;
    const begun = begunAt(plan.sitting, primed.end_s);
    const late = planSet(set, plain({ ...begun, now_s: primed.end_s + 1200 }));
    expect(late.findings.map(({ code }) => code)).toContain('primed-too-long');
    expect(late.sitting.total_s).toBeGreaterThan(plan.sitting.total_s + 1000);
  });
});
