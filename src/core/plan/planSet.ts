import type { SetDocument } from '../document/document';
import { pointers } from '../document/edits';
import { acrossNails } from '../compile/acrossNails';
import { NAILS, type NailName } from '../model/names';
import { lowerBound_s } from '../timing/bound';
import { isTimed, replaySteps } from '../timing/replay';
import { problemOf } from '../timing/pose';
import { EDITING, type Effort } from '../timing/effort';
import { windowsOf, type StepWindow } from '../timing/windows';
import { compared, settling, type Found, type Sitting } from '../timing/sitting';
import type { Begun, Problem, Schedule } from '../timing/problem';
import { aheadOf_s, passesOf, type TitledPass } from '../timing/passes';
import { roundsOf, type Round } from '../timing/rounds';
import { withHandWipes } from './handWipes';
import { coatsOf, passTitle } from './passTitles';
import { diagnoseSet, sortFindings } from '../judge/diagnose';
import { inOneGo, type InSlices } from '../model/inSlices';
import { rounded } from '../model/rounded';
import { without } from '../model/without';
import { causes, type Cause } from '../judge/causes';
import { nailsOf, type Finding, type Told } from '../judge/finding';
import { kitKey, nailKey, nailKeys, touchedBy } from './nailKey';
import { judgeNail, planNail, seenNail, replayNail, type NailPlan } from './nailPlan';
import type { Operation } from '../craft/operation';
import type { Verb } from '../craft/surfaces';
import { tryFixes, type Trials, type WaysOut } from './fixes';
import type { Simulated } from '../simulate/simulate';
import { bodyOf, type NailBody } from '../simulate/strength';

/** What the core makes of a set document. Plain data, equal on every machine. */
export interface Plan {
  operations: Record<NailName, Operation[]>;
  /** The surface after each operation, in words; parallel to `operations`. */
  surfaces: Record<NailName, string[]>;
  /** What each finished nail is like: thicknesses, and what it carries; null for a nail that is left out. */
  bodies: Record<NailName, NailBody | null>;
  findings: Finding[];
  sitting: Sitting;
  /** What is made ahead takes so long of it, before a client sits down. */
  ahead_s: number;
  /** What the films of an operation hold as they are laid, in mm³; operations that lay none are left out. */
  laid_mm3: Record<string, number>;
  /** The sitting in rounds, as it is worked. */
  rounds: Round[];
  /** The same rounds in passes: what is done on a hand until it goes into the lamp. */
  passes: TitledPass[];
  /** What a step leaves for what must follow it, by operation. */
  windows: Record<string, StepWindow>;
}

export interface PlanOptions {
  memo?: PlanMemo;
  /** How long to look for a good sitting; by default as long as an edit can wait. */
  effort?: Partial<Effort>;
  /** Whether ways out are tried; that plans the set many times over. */
  fixes?: boolean;
  /** What an earlier search has found for this set: where the work is still the same, the sitting is the same. */
  known?: Found | undefined;
  /** What is done of it already: the rest is planned from that moment on. */
  begun?: Begun | undefined;
  /** Work that somebody else does: the artist only hands the nail over, and it is busy as long. */
  helped?: ReadonlySet<Verb> | undefined;
  /** Told what the sitting was found by, and whether it was known before. */
  onFound?: (found: Found, wasKnown: boolean) => void;
}

/** Keeps what was planned, so that an edit to one nail replans that nail only. Results are the same without it. */
export interface PlanMemo {
  nails: Map<string, NailPlan>;
  judged: Map<string, { replayed: Simulated; told: Told[] }>;
}

export function newMemo(): PlanMemo {
  return { nails: new Map(), judged: new Map() };
}

/** Enough for ten nails and a stretch of undo: a planned nail holds half a megabyte of fields. */
const MEMO_SIZE = 50;
/** A sitting that is only tried is searched for shortly. */
const TRYING = { iterations: 200 };

/**
 * The one entrance: compile → simulate → schedule → replay → diagnose, and then ways out tried. Pure and
 * deterministic; `memo` only saves work.
 */
export function planSet(set: SetDocument, options: PlanOptions = {}): Plan {
  return inOneGo(planning(set, options));
}

/** The same in slices: of the search, then one a way out that is tried. */
export function* planning(set: SetDocument, options: PlanOptions = {}): InSlices<Plan> {
  const memo = options.memo ?? newMemo();
  const drawn = yield* draw(set, memo, options.effort, options);
  const { told, operations, problem, schedule, bound_s, wasKnown } = drawn;
  const by = wasKnown ? options.known?.hand_after_hand_s : undefined;
  const against = compared(problem, schedule, bound_s, searchFor(set, options.effort), by);
  const { hand_after_hand_s } = against;
  options.onFound?.({ ...drawn.found, hand_after_hand_s }, wasKnown);
  const list = causes(sortFindings(told, drawn.all));
  const fixes =
    options.fixes === false
      ? []
      : yield* tryFixes(set, told, list, trialsOf(set, drawn, memo, options.effort));
  const sitting = roundSitting(against);
  const rounds = roundsOf(sitting, drawn.all);
  const passes = titled(set, rounds, drawn.all);
  return {
    operations,
    surfaces: record((name) => drawn.judged[name].replayed.states.map((state) => state.surface)),
    bodies: record((name) => (set.nails[name].in_work ? bodyOf(drawn.judged[name].replayed.field) : null)),
    findings: sortFindings(oneWayOut(list, fixes), drawn.all),
    sitting,
    ahead_s: set.practice.wearer === 'client' ? aheadOf_s(passes) : 0,
    laid_mm3: laidBy(drawn.planned),
    rounds,
    passes,
    windows: windowsOf(problem, sitting),
  };
}

/** All that the rules tell of a set, its sitting hardly searched for; their ways out untried. */
export function tellSet(set: SetDocument, memo: PlanMemo): Told[] {
  return inOneGo(draw(set, memo, TRYING)).told;
}

/** What is done on each nail and what it lays, without a sitting: no wipes that only the sitting asks for. */
export function workOf(set: SetDocument, memo: PlanMemo): Pick<Plan, 'operations' | 'laid_mm3'> {
  const keys = nailKeys(set);
  const planned = record((name) => recall(memo.nails, keys[name], () => planNail(set, name)));
  return { operations: record((name) => planned[name].compiled.operations), laid_mm3: laidBy(planned) };
}

function laidBy(planned: Readonly<Record<NailName, NailPlan>>): Record<string, number> {
  const out: Record<string, number> = {};
  for (const name of NAILS) {
    const { compiled, nominal } = planned[name];
    compiled.operations.forEach(({ id }, i) => {
      const mm3 = rounded(nominal.states[i]!.laid_mm3 ?? 0);
      if (mm3 > 0) out[id] = mm3;
    });
  }
  return out;
}

interface Drawn {
  planned: Record<NailName, NailPlan>;
  judged: Record<NailName, { replayed: Simulated; told: Told[] }>;
  operations: Record<NailName, Operation[]>;
  all: Operation[];
  problem: Problem;
  schedule: Schedule;
  bound_s: number;
  found: Found;
  wasKnown: boolean;
  told: Told[];
}

function titled(set: SetDocument, rounds: readonly Round[], operations: readonly Operation[]): TitledPass[] {
  const byId = new Map(operations.map((operation) => [operation.id, operation]));
  const coats = coatsOf(operations);
  return passesOf(rounds, operations).map((pass) => ({
    ...pass,
    title: passTitle(pass, byId, set, coats),
  }));
}

function* draw(
  set: SetDocument,
  memo: PlanMemo,
  effort?: Partial<Effort>,
  { known, begun, helped }: Pick<PlanOptions, 'known' | 'begun' | 'helped'> = {},
): InSlices<Drawn> {
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
  const asked = { ...problemOf(set, works, precedences), ...(begun ? { begun } : {}) };
  const problem = helped ? handedOver(asked, works, helped) : asked;
  const bound_s = lowerBound_s(problem);
  const { schedule, found, wasKnown } = yield* settling(problem, searchFor(set, effort), known);
  const sitting = roundTimes(schedule);
  const operations = record((name) => withHandWipes(planned[name].compiled, sitting.wipes));
  const startOf = new Map(sitting.strokes.map((stroke) => [stroke.operation, stroke.start_s]));
  const judged = record((name) => {
    const plan = planned[name];
    const timed = isTimed(plan.compiled.operations, plan.compiled.context.product);
    const steps = replaySteps(name, operations[name], sitting.loads, startOf, timed);
    const light = steps
      .map((step) => `${'operation' in step ? '' : '+'}${step.light_s ?? ''}:${step.elapsed_s ?? ''}`)
      .join();
    const wiped = sitting.wipes.filter((wipe) => wipe.nail === name).map((wipe) => wipe.after);
    return recall(memo.judged, `${keys[name]}|${light}|${wiped.join()}`, () => {
      const replayed = replayNail(plan, steps);
      const told = judgeNail(set, name, plan, replayed, operations[name]);
      // Light that another nail's load happens to bring is no cure of one's own: an order changed by hand has to
      // hold by itself as well.
      const lucky = set.edits.some((edit) => pointers(edit).some((id) => id.startsWith(`${name}/`)))
        ? byItself(set, name, plan, keys[name], memo).filter(
            (one) => !told.some((known) => known.id === one.id),
          )
        : [];
      return { replayed, told: [...told, ...lucky] };
    });
  });
  const all = NAILS.flatMap((name) => operations[name]);
  const told = [
    ...NAILS.filter((name) => set.nails[name].in_work).flatMap((name) => judged[name].told),
    ...diagnoseSet({
      set,
      sitting,
      bound_s,
      operations: all,
      circular,
      seen: (name) => seenNail(set, name, planned[name]),
    }),
  ];
  return { planned, judged, operations, all, problem, schedule, bound_s, found, wasKnown, told };
}

/** So long it takes to hand a nail to who helps. */
const HAND_OVER_S = 2;

/** The same sitting where somebody else does some work, right when it comes. */
function handedOver(
  problem: Problem,
  works: readonly { operations: readonly Operation[] }[],
  helped: ReadonlySet<Verb>,
): Problem {
  const verbs = new Map(works.flatMap(({ operations }) => operations.map(({ id, verb }) => [id, verb])));
  const chains = problem.chains.map((chain) => ({
    ...chain,
    tasks: chain.tasks.map((task) => {
      const verb = verbs.get(task.operation);
      if (!verb || !helped.has(verb) || task.hand_s <= HAND_OVER_S) return task;
      return { ...task, hand_s: HAND_OVER_S, wait_s: task.wait_s + task.hand_s - HAND_OVER_S };
    }),
  }));
  return { ...problem, chains };
}

function searchFor(set: SetDocument, effort: Partial<Effort> = {}): Effort {
  return { ...EDITING, flow: set.practice.flow, ...effort };
}

/** A nail judged by its own light alone, whatever the sitting brings. */
function byItself(set: SetDocument, name: NailName, plan: NailPlan, key: string, memo: PlanMemo): Told[] {
  return recall(memo.judged, `${key}|by itself`, () => ({
    replayed: plan.nominal,
    told: judgeNail(set, name, plan, plan.nominal),
  })).told;
}

/** How a changed set is tried: the nails it touches by themselves, then all of it with a sitting. */
function trialsOf(set: SetDocument, drawn: Drawn, memo: PlanMemo, effort: Partial<Effort> = {}): Trials {
  const longest = Math.min(effort.iterations ?? EDITING.iterations, EDITING.iterations);
  const enough = drawn.schedule.broken.length;
  return {
    nail: (next, name) => {
      const key = nailKey(next, name, kitKey(next));
      const plan = recall(memo.nails, key, () => planNail(next, name));
      return byItself(next, name, plan, key, memo);
    },
    whole: (next, thorough) =>
      inOneGo(draw(next, memo, thorough ? { iterations: longest, enough } : TRYING)).told,
    // A nail that is left out of the work is neither tried nor judged.
    touched: (next) => touchedBy(set, next),
    operations: (name) => drawn.operations[name],
    skipped: (name) => drawn.planned[name].compiled.skipped,
    order: (name) => drawn.planned[name].compiled.order,
  };
}

function effect({ code, message }: { code: string; message: string }) {
  return { code, message };
}

/** Findings to show: one a cause, and one for all that the same change mends. */
function oneWayOut(list: readonly Cause[], ways: readonly WaysOut[]): Finding[] {
  const shown = new Map<string, Finding>();
  list.forEach((cause, i) => {
    const fix = ways[i]?.fix;
    const all = ways[i]?.all;
    const first = without(cause.told[0]!, 'tries');
    const follows = [...new Map(cause.follows.map((one) => [one.message, effect(one)])).values()];
    const key = fix ? JSON.stringify(fix.change) : '';
    const known = shown.get(key);
    const nails = cause.nails;
    if (fix && known && known.severity === first.severity && nailsOf(known).join() === nails.join()) {
      known.follows = [...(known.follows ?? []), effect(first), ...follows];
      return;
    }
    shown.set(fix && !known ? key : `${key} ${first.id}`, {
      ...first,
      ...(nails.length > 1 ? { nails } : {}),
      ...(follows.length > 0 ? { follows } : {}),
      ...(fix ? { fix } : {}),
      ...(all ? { also: all } : {}),
    });
  });
  return [...shown.values()];
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
function roundTimes<T extends Schedule>(schedule: T): T {
  const round = <S extends { start_s: number; end_s: number }>(item: S): S => ({
    ...item,
    start_s: rounded(item.start_s),
    end_s: rounded(item.end_s),
  });
  return {
    ...schedule,
    strokes: schedule.strokes.map(round),
    loads: schedule.loads.map(round),
    wipes: schedule.wipes.map(round),
    broken: schedule.broken.map((broken) => ({ ...broken, seconds: rounded(broken.seconds) })),
    total_s: rounded(schedule.total_s),
  };
}

function roundSitting(sitting: Sitting): Sitting {
  return {
    ...roundTimes(sitting),
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
