import { NAILS, handOf, type NailName } from '../model/names';
import { planNail } from '../plan/nailPlan';
import type { Plan } from '../plan/planSet';
import type { SetDocument } from '../document/document';
import type { Facts, Need } from './sittingChecker';

/** Verbs after which dust flies, read from the trade and not from the program's table (common practice). */
const DUSTY = ['shape', 'buff', 'file', 'open-seal', 'file-down', 'file-back', 'blend'];
/** What is done for a whole hand, or for both, in one go. */
const HAND_WORK = ['sanitise', 'soak', 'dust-off'];

/**
 * A plan in the plain figures of the checker. Limits are those of the craft: three minutes for a film that
 * levels, 40 s for a runny one, four minutes from primer to base (common practice).
 */
export function factsOf(set: SetDocument, plan: Plan): Facts {
  const product = (id: string | undefined) => set.kit.products.find((one) => one.id === id);
  return {
    own: set.practice.wearer === 'own',
    nails: NAILS.filter((name) => plan.operations[name].length > 0).map((name) => {
      const nominal = planNail(set, name);
      const states = new Map(
        nominal.compiled.operations.map((one, i) => [one.id, nominal.nominal.states[i]!]),
      );
      const own = plan.operations[name].filter((one) => states.has(one.id));
      return {
        name,
        hand: handOf(name),
        needs: own.map((one, i): Need => {
          const laid = own.slice(0, i + 1).findLastIndex((o) => o.deposit);
          const lit = own.slice(laid + 1, i + 1).some((o) => o.lamp);
          const next = own[i + 1];
          const state = states.get(one.id)!;
          const prepared =
            one.stage !== 'ahead' &&
            own.slice(0, i + 1).every((o) => ['ahead', 'arrive', 'prepare'].includes(o.stage));
          return {
            id: one.id,
            ...(one.lamp ? { light_s: one.lamp.seconds } : { hand_s: one.hand_s }),
            wait_s: one.wait_s ?? 0,
            wet: state.wet && !lit,
            tacky: state.tacky,
            dusty: DUSTY.includes(one.verb),
            clean: one.verb === 'wipe' || (one.verb === 'dust-off' && next?.verb !== 'wipe'),
            // Glue and lacquer harden by themselves.
            ...(one.deposit && state.wet && product(one.product)?.lamp
              ? { lit_within_s: product(one.product)?.runny ? 40 : 180 }
              : {}),
            ...(one.verb === 'prime' ? { covered_within_s: 240 } : {}),
            // Acrylic that its maker says nothing of is hard after five minutes (common practice).
            ...(one.verb === 'sculpt' && next?.verb === 'pinch'
              ? { pinched_within_s: (product(one.product)?.dry_s ?? 300) - next.hand_s }
              : {}),
            held: (one.verb === 'flash' && own[i - 1]?.verb === 'press-on') || isHold(one.words),
            ...((prepared && HAND_WORK.includes(one.verb)) || one.verb === 'oil'
              ? {
                  round: `${one.verb === 'oil' || one.verb === 'sanitise' ? '' : handOf(name)} ${one.step} ${one.pass}`,
                }
              : {}),
          };
        }),
      };
    }),
    done: plan.sitting.strokes.map((stroke) => ({
      id: stroke.operation,
      nail: stroke.nail as NailName,
      start_s: stroke.start_s,
      end_s: stroke.end_s,
      wipe: stroke.operation.includes('/wipe-hand#'),
    })),
    loads: plan.sitting.loads.map((load) => ({
      lamp: load.lamp,
      nails: load.nails,
      serves: load.operations,
      start_s: load.start_s,
      end_s: load.end_s,
      ...(load.held ? { held: true } : {}),
    })),
  };
}

function isHold(words: string): boolean {
  return words.startsWith('Hold until');
}
