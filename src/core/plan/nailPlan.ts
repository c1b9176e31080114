import { buildKindOf } from '../craft/builds';
import type { SetDocument } from '../document/document';
import type { NailName } from '../model/names';
import { compileNail, type Compiled } from '../compile/compile';
import { diagnoseNail } from '../judge/diagnose';
import type { Finding } from '../judge/finding';
import { buildOf } from '../compile/prepare';
import { nominalSteps, simulateNail, type Simulated, type Step } from '../simulate/simulate';

/** One nail compiled and run with the seconds its own operations ask for. */
export interface NailPlan {
  compiled: Compiled;
  edge: 'plate' | 'tip';
  nominal: Simulated;
}

export function planNail(set: SetDocument, name: NailName): NailPlan {
  const compiled = compileNail(set, name);
  const { edge } = buildKindOf(buildOf(set, set.nails[name]).kind);
  return { compiled, edge, nominal: simulateNail(compiled, edge, nominalSteps(compiled.operations)) };
}

/** Runs a planned nail once more, as the sitting treats it. */
export function replayNail(plan: NailPlan, steps: readonly Step[]): Simulated {
  return simulateNail(plan.compiled, plan.edge, steps);
}

export function judgeNail(set: SetDocument, name: NailName, plan: NailPlan, simulated: Simulated): Finding[] {
  return diagnoseNail({
    set,
    name,
    context: plan.compiled.context,
    elements: plan.compiled.elements,
    compiled: plan.compiled,
    operations: plan.compiled.operations,
    field: simulated.field,
    verdicts: simulated.verdicts,
  });
}
