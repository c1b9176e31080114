import { applyChange, type Change } from '../document/changes';
import type { SetDocument } from '../document/document';
import { causes } from '../judge/causes';
import { sortFindings } from '../judge/diagnose';
import type { Fix, Told } from '../judge/finding';
import { lowerFirst } from '../model/letters';
import { nailWords, type NailName } from '../model/names';
import type { InSlices } from '../model/inSlices';
import { waysOutOf, type NailLine } from './fixes';
import { kitKey, nailKey } from './nailKey';
import { judgeNail, planNail } from './nailPlan';
import { newMemo, tellSet, type PlanMemo } from './planSet';

/** One of the changes, and the nail it was found for; without one it is for all of them together. */
export interface RightStep extends Fix {
  nail?: NailName;
}

/** What puts nails right: the changes in turn, all of them as one, and what is found all the same. */
export interface PutRight {
  steps: RightStep[];
  change: Change | undefined;
  /** Stops and warnings of these nails before it, and what stays of them after it. */
  before: number;
  left: Told[];
  /** What it would bring elsewhere, where it brings anything. */
  brings: Told[];
  /** How many documents were planned to find it. */
  tried: number;
}

/** Documents that are planned for one nail, at most; counted, so that every machine finds the same. */
const MOST_TRIED = 60;
/** More changes than this are no mending but another plan. */
const MOST_STEPS = 8;
/** Of the ways out of one finding so many are tried. */
const MOST_WAYS = 8;

interface Node {
  set: SetDocument;
  steps: Fix[];
  told: Told[];
  /** Causes of what is told: a bound for the changes that are still wanted, as a rule. */
  causes: number;
  line: NailLine;
  /** Changes on the way that cleared nothing by themselves. */
  idle: number;
}

/**
 * The smallest change that clears what is found on some nails: moves taken back, work put in, options changed. Each state on the
 * way is planned and replayed; of several ways the one with the fewest changes is taken, and a change that proves needless
 * falls away again. Nothing is applied: the document is left as it is.
 */
export function* puttingRight(set: SetDocument, names: readonly NailName[]): InSlices<PutRight> {
  const worked = names.filter((name) => set.nails[name].in_work);
  const memo = newMemo();
  const told = tellSet(set, memo).filter(isGrave);
  const about = (one: Told) => one.nail !== undefined && worked.includes(one.nail);
  let now = set;
  let steps: RightStep[] = [];
  let tried = 0;
  for (const [i, name] of worked.entries()) {
    const share = (part: number) => (i + part) / worked.length;
    const own = yield* search(now, name, share);
    tried += own.tried;
    now = own.node.set;
    steps = [...steps, ...own.node.steps.map((one) => ({ ...one, nail: name }))];
  }
  const all = yield* together(now, about, memo);
  tried += all.tried;
  steps = [...steps, ...all.steps];
  const changes = steps.map((one) => one.change);
  const known = new Set(told.map((one) => one.id));
  return {
    steps,
    change: changes.length > 1 ? { kind: 'many', changes } : changes[0],
    before: told.filter(about).length,
    left: all.told.filter(about),
    brings: all.told.filter((one) => !about(one) && !known.has(one.id)),
    tried,
  };
}

/** Ways out of what is only told of the whole set, tried so many at most: each is planned with a sitting. */
const MOST_WHOLE = 6;

/** What the nails' own changes leave of the set as a whole: hands that differ, lengths, light of the kit. */
function* together(
  set: SetDocument,
  about: (one: Told) => boolean,
  memo: PlanMemo,
): InSlices<{ set: SetDocument; steps: Fix[]; told: Told[]; tried: number }> {
  let now = { set, steps: [] as Fix[], told: tellSet(set, memo).filter(isGrave) };
  let tried = 0;
  for (;;) {
    const ways = now.told.filter(about).flatMap((one) => one.tries.slice(0, 2));
    let next: typeof now | undefined;
    for (const way of ways) {
      if (tried >= MOST_WHOLE) break;
      const applied = applyChange(now.set, way.change);
      if (!applied.ok) continue;
      tried += 1;
      yield 1;
      const told = tellSet(applied.value, memo).filter(isGrave);
      if (told.length >= now.told.length) continue;
      next = { set: applied.value, steps: [...now.steps, way], told };
      break;
    }
    if (!next) return { ...now, tried };
    now = next;
  }
}

function isGrave({ severity }: Pick<Told, 'severity'>): boolean {
  return severity !== 'note';
}

function* search(
  set: SetDocument,
  name: NailName,
  share: (part: number) => number,
): InSlices<{ node: Node; tried: number }> {
  const first = stateOf(set, name, []);
  const seen = new Set([nailKey(set, name, kitKey(set))]);
  let best = first;
  let tried = 0;
  const open = [first];
  while (open.length > 0 && tried < MOST_TRIED) {
    open.sort(cheaper);
    const node = open.shift()!;
    // Whatever is still open weighs as much at least.
    if (node.causes === 0) break;
    if (node.steps.length >= MOST_STEPS) continue;
    // One fault after the other, the gravest first, or each order of the same changes would be tried.
    const groups = node.told.map((one) => waysFrom(node, one, name));
    for (const [i, ways] of groups.entries()) {
      let cleared = false;
      for (const way of ways) {
        if (tried >= MOST_TRIED) break;
        const next = applyChange(node.set, way.change);
        if (!next.ok) continue;
        const key = nailKey(next.value, name, kitKey(next.value));
        if (seen.has(key)) continue;
        seen.add(key);
        tried += 1;
        yield share(tried / MOST_TRIED);
        const made = stateOf(next.value, name, [...node.steps, way]);
        const state = { ...made, idle: node.idle + (made.causes < node.causes ? 0 : 1) };
        if (better(state, best)) best = state;
        cleared ||= !made.told.some(({ id }) => id === node.told[i]!.id);
        // What makes it worse by more than it could mend leads nowhere.
        if (state.causes <= node.causes + 1) open.push(state);
      }
      if (cleared) break;
    }
  }
  const pruned = prune(set, name, best);
  return { node: pruned.node, tried: tried + pruned.tried };
}

function cheaper(a: Node, b: Node): number {
  const worth = (node: Node) => STEP * costOf(node) + node.causes + node.idle;
  return worth(a) - worth(b) || a.causes - b.causes;
}
/** A change against a cause: below one, so that a way that clears much is followed before all short ones are tried. */
const STEP = 0.5;

/** Art that is left off is mended by nothing: it weighs as much as so many changes that keep it. */
const LEFT_OFF = 8;

/** What the changes of a state weigh: one each, and more where art is lost. */
function costOf({ steps }: Pick<Node, 'steps'>): number {
  return steps.reduce((sum, { change }) => sum + (leavesOff(change) ? LEFT_OFF : 1), 0);
}

function leavesOff(change: Change): boolean {
  if (change.kind === 'many') return change.changes.some(leavesOff);
  return change.kind === 'nail-change' && 'leave_off' in change.change;
}

/** Fewer stops first, then fewer causes, then fewer changes. */
function better(a: Node, b: Node): boolean {
  const key = ({ told, causes: count, steps }: Node) => [
    told.filter(({ severity }) => severity === 'stop').length,
    count,
    costOf({ steps }),
  ];
  const [x, y] = [key(a), key(b)];
  const at = x.findIndex((one, i) => one !== y[i]);
  return at >= 0 && x[at]! < y[at]!;
}

function stateOf(set: SetDocument, name: NailName, steps: Fix[]): Node {
  const plan = planNail(set, name);
  const { compiled } = plan;
  const told = sortFindings(judgeNail(set, name, plan, plan.nominal).filter(isGrave), compiled.operations);
  return {
    set,
    steps,
    told,
    causes: causes(told).length,
    line: { operations: compiled.operations, skipped: compiled.skipped, order: compiled.order },
    idle: 0,
  };
}

/** All that may mend one of what is told, each once. */
function waysFrom({ set, line }: Node, told: Told, name: NailName): Fix[] {
  const ways = waysOutOf(set, { ...told, nail: told.nail ?? name }, line).slice(0, MOST_WAYS);
  return [...new Map(ways.map((way) => [JSON.stringify(way.change), way])).values()];
}

/** Without what proves needless once the rest is there. */
function prune(set: SetDocument, name: NailName, best: Node): { node: Node; tried: number } {
  let node = best;
  let tried = 0;
  for (let i = node.steps.length - 1; i >= 0 && node.steps.length > 1; i -= 1) {
    // What a later change says anew of the same element holds this one as well.
    const own = subjectsOf(node.steps[i]!.change);
    if (node.steps.slice(i + 1).some(({ change }) => subjectsOf(change).some((one) => own.includes(one))))
      continue;
    const steps = node.steps.filter((_, k) => k !== i);
    const next = steps.reduce<SetDocument | undefined>((from, { change }) => {
      const applied = from && applyChange(from, change);
      return applied?.ok ? applied.value : undefined;
    }, set);
    if (!next) continue;
    tried += 1;
    const state = stateOf(next, name, steps);
    if (!better(best, state) && state.causes <= node.causes) node = state;
  }
  return { node, tried };
}

/** The elements, looks and builds that a change says anew as a whole. */
function subjectsOf(change: Change): string[] {
  if (change.kind === 'many') return change.changes.flatMap(subjectsOf);
  if (change.kind === 'put-element') return [`${change.look}/${change.element.id}`];
  if (change.kind === 'nail-change') return [`${change.nail}/${change.change.element}`];
  if (change.kind === 'put-look') return change.look.elements.map(({ id }) => `${change.look.id}/${id}`);
  return change.kind === 'put-build' ? [`build ${change.build.id}`] : [];
}

/** What was found, in the words of a sentence: "3 changes clear all that is found". */
export function putRightWords({ steps, left, brings, before }: PutRight): string {
  const changes = steps.length === 1 ? 'One change' : `${steps.length} changes`;
  if (before === 0) return 'Nothing is found that would have to be mended.';
  if (steps.length === 0)
    return `No change that the program knows mends it: ${left[0] ? lowerFirst(left[0].message) : 'what is found stays'}`;
  if (brings.length > 0)
    return `${changes} would mend it here and bring something ${brings[0]!.nail ? `on the ${nailWords(brings[0]!.nail)}` : 'elsewhere'}: ${lowerFirst(brings[0]!.message)}`;
  if (left.length === 0) return `${changes} clear${steps.length === 1 ? 's' : ''} all that is found.`;
  return `${changes} clear${steps.length === 1 ? 's' : ''} ${before - left.length} of ${before}; what stays: ${lowerFirst(left[0]!.message)}`;
}
