import { transfer } from 'comlink';
import type { SetDocument } from '@/core/document/document';
import type { NailName } from '@/core/model/names';
import { drawNail, type NailPicture } from '@/core/picture/nailPicture';
import { crosswise, lengthwise, type Section } from '@/core/picture/section';
import { withHandWipes } from '@/core/plan/handWipes';
import { kitKey, nailKey } from '@/core/plan/nailKey';
import { planNail, type NailPlan } from '@/core/plan/nailPlan';
import { newMemo, planSet, recall, type Plan } from '@/core/plan/planSet';
import { shorten, type Shortening } from '@/core/plan/shorten';
import { nominalSteps, simulateNail } from '@/core/simulate/simulate';
import type { HandWipe } from '@/core/timing/problem';
import { AT_LENGTH } from '@/core/timing/search';

export interface Planned {
  plan: Plan;
  took_ms: number;
}

/** A nail part-way through its operations: the picture and both cuts. */
export interface Stage {
  picture: NailPicture;
  lengthwise: Section;
  crosswise: Section;
}

/** What pages ask of a worker. Everything it computes comes from core. */
export interface PlannerApi {
  plan: (set: SetDocument) => Planned;
  /** The same at length; `onProgress` hears the share of the search that is done. */
  polish: (set: SetDocument, onProgress: (share: number) => void) => Plan;
  shorten: (set: SetDocument) => Shortening[];
  /** One nail in its finished look. */
  picture: (set: SetDocument, name: NailName, px_per_mm: number) => NailPicture;
  /** The nail after its first `done` operations. */
  stage: (
    set: SetDocument,
    name: NailName,
    wipes: readonly HandWipe[],
    done: number,
    px_per_mm: number,
  ) => Stage;
}

export function plannerApi(): PlannerApi {
  const memo = newMemo();
  const nails = new Map<string, NailPlan>();
  const planned = (set: SetDocument, name: NailName) =>
    recall(nails, nailKey(set, name, kitKey(set)), () => planNail(set, name));
  const productIn = (set: SetDocument) => {
    const products = new Map(set.kit.products.map((product) => [product.id, product]));
    return (id: string) => products.get(id)!;
  };

  return {
    plan: (set) => {
      const start = performance.now();
      return { plan: planSet(set, { memo, fixes: false }), took_ms: performance.now() - start };
    },
    polish: (set, onProgress) =>
      planSet(set, {
        memo,
        effort: {
          iterations: AT_LENGTH.iterations,
          onProgress: (share) => {
            onProgress(share);
            return true;
          },
        },
      }),
    shorten,
    picture: (set, name, px_per_mm) => {
      const picture = drawNail(planned(set, name).nominal.field, productIn(set), px_per_mm);
      // Pixels are moved, not copied.
      return transfer(picture, [picture.data.buffer]);
    },
    stage: (set, name, wipes, done, px_per_mm) => {
      const { compiled, edge } = planned(set, name);
      const operations = withHandWipes(compiled, wipes);
      const { field } = simulateNail(compiled, edge, nominalSteps(operations.slice(0, done)));
      const product = productIn(set);
      const picture = drawNail(field, product, px_per_mm);
      const stage = { picture, lengthwise: lengthwise(field, product), crosswise: crosswise(field, product) };
      return transfer(stage, [picture.data.buffer]);
    },
  };
}
