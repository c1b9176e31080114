import type { SetDocument } from '../document/document';
import { acrossNails } from '../compile/acrossNails';
import { NAILS, type NailName } from '../model/names';
import { isTimed, replaySteps } from '../timing/replay';
import { planSitting, problemOf, type Sitting } from '../timing/sitting';
import { diagnoseSet, sortFindings } from '../judge/diagnose';
import { rounded } from '../model/rounded';
import type { Finding } from '../judge/finding';
import { nailKeys } from './nailKey';
import { judgeNail, planNail, replayNail, type NailPlan } from './nailPlan';
import type { Operation } from '../craft/operation';
import { repairNail } from './repair';
import type { Simulated } from '../simulate/simulate';

/** What the core makes of a set document. Plain data, equal on every machine. */
export interface Plan {
  operations: Record<NailName, Operation[]>;
  /** The surface after each operation, in words; parallel to `operations`. */
  surfaces: Record<NailName, string[]>;
  findings: Finding[];
  sitting: Sitting;
}

/** Keeps what was planned, so that an edit to one nail replans that nail only. Results are the same without it. */
export interface PlanMemo {
  nails: Map<string, NailPlan>;
  judged: Map<string, { replayed: Simulated; findings: Finding[] }>;
}

export function newMemo(): PlanMemo {
  return { nails: new Map(), judged: new Map() };
}

/** Enough for ten nails and a good stretch of undo. */
const MEMO_SIZE = 120;

/**
 * The one entrance: compile → simulate → schedule → replay → diagnose. Pure and deterministic; `memo` only
 * saves work.
 */
export function planSet(set: SetDocument, options: { memo?: PlanMemo } = {}): Plan {
  const memo = options.memo ?? newMemo();
  const keys = nailKeys(set);
  const planned = record((name) => recall(memo.nails, keys[name], () => planNail(set, name)));
  const works = NAILS.map((nail) => ({
    nail,
    operations: planned[nail].compiled.operations,
    states: planned[nail].nominal.states,
  }));
  const { precedences, circular } = acrossNails(
    set,
    works.map((work) => work.operations),
  );
  const sitting = roundSitting(planSitting(problemOf(set, works, precedences)));
  const startOf = new Map(sitting.strokes.map((stroke) => [stroke.operation, stroke.start_s]));

  const judged = record((name) => {
    const plan = planned[name];
    const timed = isTimed(plan.compiled.operations, plan.compiled.context.product);
    const steps = replaySteps(name, plan.compiled.operations, sitting.loads, startOf, timed);
    const light = steps.map((step) => `${step.light_s ?? ''}:${step.elapsed_s ?? ''}`).join();
    return recall(memo.judged, `${keys[name]}|${light}`, () => {
      const replayed = replayNail(plan, steps);
      return { replayed, findings: repairNail(set, name, plan, judgeNail(set, name, plan, replayed)) };
    });
  });

  const operations = record((name) => planned[name].compiled.operations);
  const all = NAILS.flatMap((name) => operations[name]);
  const findings = sortFindings(
    [
      ...NAILS.flatMap((name) => judged[name].findings),
      ...diagnoseSet({ set, sitting, operations: all, circular }),
    ],
    all,
  );
  return {
    operations,
    surfaces: record((name) => judged[name].replayed.states.map((state) => state.surface)),
    findings,
    sitting,
  };
}

function record<T>(make: (name: NailName) => T): Record<NailName, T> {
  return Object.fromEntries(NAILS.map((name) => [name, make(name)])) as Record<NailName, T>;
}

/** The value stored under a key, or made and stored; the oldest entries leave when the store is full. */
export function recall<T>(store: Map<string, T>, key: string, make: () => T): T {
  const known = store.get(key);
  if (known !== undefined) {
    // Moved to the end: the oldest entries leave first.
    store.delete(key);
    store.set(key, known);
    return known;
  }
  const made = make();
  store.set(key, made);
  if (store.size > MEMO_SIZE) store.delete(store.keys().next().value!);
  return made;
}

/** Times to a thousandth of a second, so that sums of fractions print the same everywhere. */
function roundSitting(sitting: Sitting): Sitting {
  const round = <T extends { start_s: number; end_s: number }>(item: T): T => ({
    ...item,
    start_s: rounded(item.start_s),
    end_s: rounded(item.end_s),
  });
  return {
    ...sitting,
    strokes: sitting.strokes.map(round),
    loads: sitting.loads.map(round),
    broken: sitting.broken.map((broken) => ({ ...broken, seconds: rounded(broken.seconds) })),
    total_s: rounded(sitting.total_s),
    low_s: rounded(sitting.low_s),
    high_s: rounded(sitting.high_s),
    lower_bound_s: rounded(sitting.lower_bound_s),
    hand_after_hand_s: rounded(sitting.hand_after_hand_s),
    hand_work_s: rounded(sitting.hand_work_s),
    lamp_s: rounded(sitting.lamp_s),
  };
}

/** Whether anything in a plan says stop. */
export function hasStop(plan: Plan): boolean {
  return plan.findings.some((finding) => finding.severity === 'stop');
}
