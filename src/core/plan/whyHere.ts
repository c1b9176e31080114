import { moveChange } from '../compile/reorder';
import type { Operation } from '../craft/operation';
import { applyChange } from '../document/changes';
import type { SetDocument } from '../document/document';
import { causes } from '../judge/causes';
import { sortFindings } from '../judge/diagnose';
import type { Told } from '../judge/finding';
import type { NailName } from '../model/names';
import { judgeNail, planNail, type NailPlan } from './nailPlan';

/** What keeps a step from standing earlier or later: the step it would pass, and what is then found. */
export interface Kept {
  /** The words of the step that it may not pass. */
  past: string;
  message: string;
  reason: string;
  code: Told['code'];
  /** About which step that is said. */
  operation?: string;
}

/** Why a step stands where it does; nothing on a side to which it is free as far as was tried. */
export interface WhyHere {
  earlier?: Kept;
  later?: Kept;
}

/** So many places to either side are tried: what holds a step is seldom further off. */
const FAR = 8;

/**
 * Why a step stands where it does: it is moved, place by place, to either side and the nail planned and judged anew, until something is
 * found that was not there. What says so is the engine itself, and so it can never say otherwise than a move would.
 */
export function whyHere(set: SetDocument, name: NailName, id: string): WhyHere {
  const plan = planNail(set, name);
  const { operations } = plan.compiled;
  const at = operations.findIndex((one) => one.id === id);
  if (at < 0) return {};
  const known = new Set(grave(set, name, plan).map((one) => one.id));
  const side = (step: 1 | -1): Kept | undefined => {
    for (let far = 1; far <= FAR; far += 1) {
      const to = at + step * far;
      const passed = operations[to];
      if (!passed) return undefined;
      // Its own light goes with it.
      if (goesAlong(operations, at, to)) continue;
      const kept = passing(set, name, operations, at, to, known);
      if (kept) return { ...kept, past: passed.words };
    }
    return undefined;
  };
  const [earlier, later] = [side(-1), side(1)];
  return { ...(earlier ? { earlier } : {}), ...(later ? { later } : {}) };
}

function passing(
  set: SetDocument,
  name: NailName,
  operations: readonly Operation[],
  from: number,
  to: number,
  known: ReadonlySet<string>,
): Omit<Kept, 'past'> | undefined {
  const change = moveChange(operations, from, to, set.edits);
  const next = change && applyChange(set, change);
  if (!next?.ok) return undefined;
  const plan = planNail(next.value, name);
  const told = grave(next.value, name, plan).filter((one) => !known.has(one.id));
  const [cause] = causes(sortFindings(told, plan.compiled.operations));
  if (!cause) return undefined;
  const { message, reason, code, operation } = cause.told[0]!;
  return { message, reason, code, ...(operation ? { operation } : {}) };
}

/** A flash or cure of what a step lays, right behind it: it is moved with it. */
function goesAlong(operations: readonly Operation[], at: number, to: number): boolean {
  const own = operations[at]!;
  return (
    to > at &&
    operations
      .slice(at + 1, to + 1)
      .every((one) => one.element === own.element && one.lamp !== undefined && one.pass === own.pass)
  );
}

function grave(set: SetDocument, name: NailName, plan: NailPlan): Told[] {
  return judgeNail(set, name, plan, plan.nominal).filter(({ severity }) => severity !== 'note');
}
