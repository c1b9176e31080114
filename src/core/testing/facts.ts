import { NAILS, handOf, type NailName } from '../model/names';
import { planNail } from '../plan/nailPlan';
import type { Plan } from '../plan/planSet';
import type { SetDocument } from '../document/document';
import type { Facts, Need } from './sittingChecker';

/** Verbs after which dust flies, read from the trade and not from the program's table (common practice). */
const DUSTY = ['shape', 'buff', 'file', 'open-seal', 'file-down', 'file-back', 'blend'];
/** What is flashed before the next nail is begun: a tip that is held, what slumps or runs to the skin. */
const NAIL_BY_NAIL = ['press-on', 'press-mould', 'sprinkle'];
const SLUMPS = ['builder-gel', 'putty-gel'];
/** What is done for a whole hand, or for both, in one go. */
const HAND_WORK = ['sanitise', 'soak', 'dust-off'];

/** What puts something on a finger that keeps its hand from working, and what takes it off (common practice). */
const PUT_ON = ['fit-form', 'press-mould', 'soak'];
const TAKEN_OFF = ['form-off', 'mould-off', 'push-off'];

/**
 * A plan in the plain figures of the checker. Limits are those of the craft: three minutes for a film that
 * levels, 40 s for a runny one, four minutes from primer to base (common practice).
 */
export function factsOf(set: SetDocument, plan: Plan): Facts {
  const product = (id: string | undefined) => set.kit.products.find((one) => one.id === id);
  const setsByItself = (id: string | undefined) =>
    ['acrylic', 'glue', 'lacquer', 'lacquer-top', 'lacquer-base'].includes(product(id)?.family ?? '');
  const torch = set.kit.lamps.find((lamp) => lamp.torch);
  return {
    own: set.practice.wearer === 'own',
    ...(torch && set.kit.lamps.length > 1 ? { torch: torch.id } : {}),
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
          const under = own.slice(0, i + 1).findLast((o) => o.deposit && o.product);
          const hasSet = own
            .slice(Math.max(0, laid), i + 1)
            .some((o) => o.verb === 'rest' || (o.wait_s && setsByItself(under?.product)));
          // What its own light has left soft is another's matter, once what came after it is lit or has set.
          const soft = own.slice(0, laid).some((o) => o.lamp && states.get(o.id)!.wet);
          const lit = own.slice(laid + 1, i + 1).some((o) => o.lamp) || (soft && hasSet);
          const next = own[i + 1];
          const state = states.get(one.id)!;
          const prepared =
            one.stage !== 'ahead' &&
            own.slice(0, i + 1).every((o) => ['ahead', 'arrive', 'prepare'].includes(o.stage));
          const last = own.slice(0, i + 1).findLast((o) => [...PUT_ON, ...TAKEN_OFF].includes(o.verb));
          const worn = last !== undefined && PUT_ON.includes(last.verb);
          // A rest leaves no stroke: what dries in it is safe when it is over.
          const rests = next !== undefined && next.hand_s === 0 && !next.lamp;
          const dries = rests && state.wet && (soft || !states.get(next.id)!.wet);
          // Wet from below is wet: no state of what is seen from above says so.
          const below =
            own.slice(0, i + 1).findLast((o) => o.verb === 'underside' || o.lamp)?.verb === 'underside';
          const light = own.slice(laid + 1, i + 1).findLast((o) => o.lamp);
          return {
            id: one.id,
            flash: one.verb === 'flash',
            form: worn && last.verb !== 'soak',
            unfit:
              worn ||
              below ||
              (state.wet && !lit && !dries && !(one.wait_s && !one.lamp)) ||
              light?.verb === 'flash',
            ...(dries
              ? { settles_s: next.wait_s ?? 0 }
              : one.wait_s && !one.lamp && (state.wet || (one.deposit && setsByItself(under?.product)))
                ? { settles_s: one.wait_s }
                : {}),
            ...(one.verb === 'soak' ? { opened_within_s: (one.wait_s ?? 0) + 300 } : {}),
            ...(one.lamp && next?.verb === 'burnish' ? { warm_within_s: 75 } : {}),
            ...(one.verb === 'flash' && next?.verb === 'wipe-spill' ? { wiped_within_s: 300 } : {}),
            ...(one.lamp ? { light_s: one.lamp.seconds } : { hand_s: one.hand_s }),
            wait_s: one.wait_s ?? 0,
            wet: below || (state.wet && !lit),
            tacky: state.tacky,
            dusty: DUSTY.includes(one.verb),
            clean:
              one.verb === 'wipe' ||
              one.verb === 'wipe-spill' ||
              (one.verb === 'dust-off' && next?.verb !== 'wipe'),
            ...(one.verb === 'underside' ? { lit_within_s: 180 } : {}),
            // Glue and lacquer harden by themselves.
            ...(one.deposit && state.wet && product(one.product)?.lamp
              ? { lit_within_s: product(one.product)?.runny ? 40 : 180 }
              : {}),
            ...(['place', 'press'].includes(one.verb) && state.wet && product(under?.product)?.lamp
              ? { lit_within_s: 180, anew: true }
              : {}),
            // Acrylic that its maker says nothing of takes pieces for a minute and a half (common practice).
            ...(one.verb === 'bed' &&
            state.wet &&
            product(one.product)?.family === 'acrylic' &&
            next?.verb === 'place'
              ? { taken_within_s: (product(one.product)?.working_s ?? 90) - one.hand_s - next.hand_s }
              : {}),
            ...(['prime', 'dehydrate'].includes(one.verb) ? { covered_within_s: 240 } : {}),
            // Acrylic that its maker says nothing of is hard after five minutes (common practice).
            ...(one.verb === 'sculpt' && next?.verb === 'pinch'
              ? { pinched_within_s: (product(one.product)?.dry_s ?? 300) - one.hand_s - next.hand_s }
              : {}),
            held:
              (one.verb === 'flash' && NAIL_BY_NAIL.includes(own[i - 1]?.verb ?? '')) ||
              (one.step === 'flash-cap' && SLUMPS.includes(product(own[i - 1]?.product)?.family ?? '')) ||
              (one.verb === 'pinch' && own[i - 1]?.verb === 'flash') ||
              // Placed and pressed in turn, group by group.
              (one.verb === 'press' && own[i - 1]?.verb === 'place' && / \d+ times$/.test(one.words)) ||
              isHold(one.words),
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

/** Without what was done on a nail that is left out since: it needs nothing any more. */
export function ofWornNails(facts: Facts): Facts {
  const names = new Set(facts.nails.map(({ name }) => name));
  const isWorn = (id: string) => names.has(id.split('/')[0]!);
  return {
    ...facts,
    done: facts.done.filter(({ id }) => isWorn(id)),
    loads: facts.loads
      .map((load) => ({
        ...load,
        serves: load.serves.filter(isWorn),
        nails: load.nails.filter((nail) => names.has(nail)),
      }))
      .filter(({ serves }) => serves.length > 0),
  };
}
