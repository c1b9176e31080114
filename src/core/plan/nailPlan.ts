import { buildKindOf } from '../craft/builds';
import type { SetDocument } from '../document/document';
import type { Operation } from '../craft/operation';
import type { NailName } from '../model/names';
import { compileNail, type Compiled } from '../compile/compile';
import { diagnoseNail } from '../judge/diagnose';
import type { Told } from '../judge/finding';
import { buildOf, lookOf } from '../document/nailContext';
import { seenOf, type LookProfile } from '../judge/profile';
import type { Edge } from '../craft/build';

import { newCovers, type Covers } from '../simulate/cover';
import { rerun, type Rerun } from '../simulate/rerun';
import { nominalSteps, simulateNail, type Simulated, type Step } from '../simulate/simulate';

/** One nail compiled and run with the seconds its own operations ask for. */
export interface NailPlan {
  compiled: Compiled;
  edge: Edge;
  /** What each operation covers, shared by every run over this nail. */
  covers: Covers;
  nominal: Simulated;
}

export function planNail(set: SetDocument, name: NailName): NailPlan {
  const compiled = compileNail(set, name);
  const edge = edgeOf(set, name);
  const covers = newCovers();
  return {
    compiled,
    edge,
    covers,
    nominal: simulateNail(compiled, edge, nominalSteps(compiled.operations), covers),
  };
}

/** One nail as it is while a hand moves something on it; `before` as it was at the last move, where there was one. */
export function heldNail(set: SetDocument, name: NailName, before?: Rerun): Rerun {
  return rerun(compileNail(set, name), edgeOf(set, name), before);
}

function edgeOf(set: SetDocument, name: NailName): Edge {
  return buildKindOf(buildOf(set, set.nails[name]).kind).edge;
}

/** Runs a planned nail once more, as the sitting treats it. */
export function replayNail(plan: NailPlan, steps: readonly Step[]): Simulated {
  return simulateNail(plan.compiled, plan.edge, steps, plan.covers);
}

const seen = new WeakMap<NailPlan, ReturnType<typeof seenOf>>();

/** What a planned nail is to the eye; worked out once. Undefined where it wears nothing. */
export function seenNail(set: SetDocument, name: NailName, plan: NailPlan): LookProfile | undefined {
  const look = lookOf(set, set.nails[name]);
  if (!look || plan.compiled.elements.length === 0) return undefined;
  let weighed = seen.get(plan);
  if (!weighed) {
    weighed = seenOf(plan.nominal.field, plan.compiled.elements, plan.compiled.context.product);
    seen.set(plan, weighed);
  }
  return { look: look.id, name: look.name, ...weighed };
}

export function judgeNail(
  set: SetDocument,
  name: NailName,
  plan: NailPlan,
  simulated: Simulated,
  operations: readonly Operation[] = plan.compiled.operations,
): Told[] {
  return diagnoseNail({
    set,
    name,
    context: plan.compiled.context,
    elements: plan.compiled.elements,
    compiled: plan.compiled,
    operations,
    field: simulated.field,
    verdicts: simulated.verdicts,
  });
}
