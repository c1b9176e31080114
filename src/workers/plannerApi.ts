import { transfer } from 'comlink';
import type { SetDocument } from '@/core/model/document';
import { NAILS, type NailName } from '@/core/model/names';
import { drawNail, type NailPicture } from '@/core/picture/nailPicture';
import { crosswise, lengthwise, type Section } from '@/core/picture/section';
import { nailKey, kitKey, planNail } from '@/core/plan/nailPlan';
import { newMemo, planWithFields, type Plan, type PlanMemo, type PlanWithFields } from '@/core/plan/planSet';
import { shorten, type Shortening } from '@/core/plan/shorten';
import { nominalSteps, simulateNail } from '@/core/plan/simulate';
import { buildOf } from '@/core/plan/prepare';
import { buildKindOf } from '@/core/craft/builds';

/** A plan, and for each nail a mark that changes when its picture would. */
export interface Planned {
  plan: Plan;
  marks: Record<NailName, string>;
  took_ms: number;
}

/** A nail part-way through its operations: the picture and both cuts. */
export interface Stage {
  picture: NailPicture;
  lengthwise: Section;
  crosswise: Section;
}

/** What pages ask of the planner. Runs in a worker; everything it computes comes from core. */
export interface PlannerApi {
  plan: (set: SetDocument) => Planned;
  picture: (name: NailName, px_per_mm: number) => NailPicture;
  /** One nail in its finished look, without planning the sitting. */
  preview: (set: SetDocument, name: NailName, px_per_mm: number) => NailPicture;
  /** The nail after its first `done` operations. */
  stage: (name: NailName, done: number, px_per_mm: number) => Stage;
  shorten: (set: SetDocument) => Shortening[];
}

export function plannerApi(): PlannerApi {
  const memo: PlanMemo = newMemo();
  let set: SetDocument | undefined;
  let current: PlanWithFields | undefined;
  const product = (id: string) => set!.kit.products.find((one) => one.id === id)!;

  return {
    plan: (next) => {
      const start = performance.now();
      set = next;
      current = planWithFields(next, memo);
      const kit = kitKey(next);
      const marks = Object.fromEntries(NAILS.map((name) => [name, nailKey(next, name, kit)])) as Record<NailName, string>;
      return { plan: current.plan, marks, took_ms: performance.now() - start };
    },
    picture: (name, px_per_mm) => sent(drawNail(current!.nails[name].replayed.field, product, px_per_mm)),
    preview: (other, name, px_per_mm) => {
      const plan = planNail(other, name);
      return sent(
        drawNail(plan.nominal.field, (id) => other.kit.products.find((one) => one.id === id)!, px_per_mm),
      );
    },
    stage: (name, done, px_per_mm) => {
      const { compiled } = current!.nails[name];
      const steps = nominalSteps(compiled.operations.slice(0, done));
      const { edge } = buildKindOf(buildOf(set!, set!.nails[name]).kind);
      const { field } = simulateNail(compiled, edge, steps);
      const picture = drawNail(field, product, px_per_mm);
      const stage = { picture, lengthwise: lengthwise(field, product), crosswise: crosswise(field, product) };
      return transfer(stage, [picture.data.buffer]);
    },
    shorten,
  };
}

/** Pixels are moved, not copied. */
function sent(picture: NailPicture): NailPicture {
  return transfer(picture, [picture.data.buffer]);
}
