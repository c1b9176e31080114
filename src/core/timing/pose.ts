import { settingOf } from '../craft/families';
import { isHeldAfter, laidBy, type Operation } from '../craft/operation';
import { rowOf } from '../craft/surfaces';
import type { Precedence } from '../compile/acrossNails';
import type { SetDocument } from '../document/document';
import { fingerOf, handOf, type NailName } from '../model/names';
import type { Product } from '../model/product';
import type { StateAfter } from '../simulate/simulate';
import { canLineUp, fallApart } from './joint';
import type { Chain, Problem, Task } from './problem';
import { sameWork } from './sameWork';

/** Rinsing a brush, closing and opening a bottle (common practice). */
const CHANGEOVER_S = 6;
/** The weaker hand is slower on one's own nails (common practice). */
const WEAKER_HAND = 1.3;
/** Past its guide a levelling film gathers lint; past half as much again it has crept to the walls (common practice). */
const CREEPS = 1.5;
/** A film that must be lit within this has run by then: no grace. */
const RUNNY_S = 40;
/** A dehydrated or primed plate takes up moisture again within minutes (common practice). */
export const PRIMED = { guide_s: 180, most_s: 240, to: 'wet', kind: 'primed-too-long' } as const;
/** Beads are pinched once they are dull; this long before they are hard they hardly give any more. */
const STIFF_S = 45;
/** What goes into a wet bead follows it without anything between. */
const SET_AT_ONCE_S = 10;
/** Flashed gel gives until its cure; it is pinched at once all the same, while that nail is in the hand. */
const AT_ONCE = { guide_s: 5, most_s: Infinity, to: 'next', kind: 'pinched-too-late' } as const;
/** A flashed spill is wiped off skin and nail within minutes, and the tip cured after it (common practice). */
const SPILL = { guide_s: 120, most_s: 300, to: 'next', kind: 'spill-left' } as const;
/** Powder takes on a top that is warm from the lamp; some tens of seconds later it takes poorly (common practice). */
const WARM = { guide_s: 30, most_s: 75, to: 'next', kind: 'cooled' } as const;
/** Past its time a soak dries the plate and the skin; it is opened within minutes (common practice). */
const SOAKED = { guide_s: 120, most_s: 300 } as const;
/** In one soak of both hands the last nail is opened once the nine before it are done. */
const BOTH_SOAKED = { guide_s: 300, most_s: 480 } as const;
/** Done just before the base, on the nails that get it together. */
const PRIMING: readonly string[] = ['dehydrate', 'prime'];
/** A thin bed of clear does not creep while pieces are laid and pressed into it (common practice). */
const INTO_A_BED: readonly string[] = ['place', 'press'];
const BED_OPEN = { guide_s: 120, most_s: 180 };
/** After these a nail is clean of dust. */
const WIPES: readonly string[] = ['wipe', 'wipe-spill'];
/** Wiping one sticky nail in passing. */
const HAND_WIPE_S = 5;

export interface NailWork {
  nail: NailName;
  operations: readonly Operation[];
  states: readonly StateAfter[];
}

/** The sitting of a set as the problem of timing/problem.ts. Nails without work are no part of it. */
export function problemOf(
  set: SetDocument,
  nails: readonly NailWork[],
  precedences: readonly Precedence[] = [],
): Problem {
  const own = set.practice.wearer === 'own';
  const products = new Map(set.kit.products.map((product) => [product.id, product]));
  const product = (id: string) => products.get(id)!;
  const worked = nails.filter((work) => work.operations.length > 0);
  const apart = new Set(precedences.flatMap(({ first, then }) => [first, then]));
  const chains = fallApart(
    worked.map((work): Chain => ({
      nail: work.nail,
      hand: handOf(work.nail),
      // A tip on its stand is no hand, and faces the light as it is laid in.
      thumb: fingerOf(work.nail) === 'thumb' && !onStand(work),
      tasks: tasksOf(work, product, set.practice.thumbs !== 'with-fingers', apart),
    })),
    precedences,
  );
  return {
    chains,
    // Without a lamp the plan is stopped by a rule; its order is still shown, for any light there may be.
    lamps:
      set.kit.lamps.length > 0
        ? set.kit.lamps.map(({ id, programmes_s, torch }) => ({
            id,
            programmes_s,
            // Where there is nothing else, everything is lit by the torch.
            torch: torch === true && set.kit.lamps.some((other) => !other.torch),
          }))
        : [{ id: 'none', programmes_s: [] }],
    thumbs: set.practice.thumbs,
    wearer: set.practice.wearer,
    slower: {
      left: own && set.practice.stronger_hand === 'left' ? WEAKER_HAND : 1,
      right: own && set.practice.stronger_hand === 'right' ? WEAKER_HAND : 1,
    },
    changeover_s: CHANGEOVER_S,
    wipe: { class: `wipe:${set.kit.roles.cleanser}`, seconds: HAND_WIPE_S },
    precedences: [...precedences, ...preparedFirst(worked, chains, precedences)],
  };
}

function onStand({ operations }: NailWork): boolean {
  return operations.some((one) => rowOf(one.verb).lengthens === 'stand');
}

function tasksOf(
  { nail, operations, states }: NailWork,
  product: (id: string) => Product,
  thumbsAlone: boolean,
  /** What the artist's own statements across nails place: it is done by itself. */
  apart: ReadonlySet<string>,
): Task[] {
  const hand = handOf(nail);
  // A thumb that goes into the lamp by itself is primed by itself: its base comes later than the fingers'.
  const primedWith = thumbsAlone && fingerOf(nail) === 'thumb' ? `${hand} thumb` : hand;
  const early = shared(operations, 'arrive', 'prepare');
  const late = shared([...operations].reverse(), 'care');
  let dust = false;
  let flashed = false;
  let lit = false;
  let hard = false;
  let bead: ReturnType<typeof settingOf>;
  let rested = false;
  let staysSoft = false;
  let form = false;
  let wetBelow = false;
  let soaks = false;
  let wetLeft_s = 0;
  return operations.map((operation, i): Task => {
    const next = operations[i + 1];
    const setting = operation.product ? settingOf(product(operation.product)) : undefined;
    if (operation.deposit) {
      lit = rested = hard = false;
      // What is set into a bead hardens with it.
      if (operation.product) bead = setting;
    }
    if (operation.lamp) lit = true;
    const settles = setting ?? (operation.deposit ? bead : undefined);
    const hasSet = settles !== undefined && (operation.wait_s ?? 0) >= settles.dry_s;
    if (operation.verb === 'rest' || hasSet) rested = true;
    if (operation.lamp || hasSet || operation.verb === 'activate') hard = true;
    // What its own light did not harden is told as that; it keeps no other nail from being filed, nor a hand from work, also
    // when something else has been laid since and has set.
    staysSoft ||= lit && states[i]!.wet;
    wetBelow = (wetBelow || rowOf(operation.verb).fromBelow === true) && !operation.lamp;
    const wet = wetBelow || (states[i]!.wet && !lit && !(staysSoft && rested));
    const { tacky } = states[i]!;
    if (rowOf(operation.verb).dusty) dust = true;
    if (WIPES.includes(operation.verb) || (operation.verb === 'dust-off' && next?.verb !== 'wipe'))
      dust = false;
    if (operation.lamp) flashed = operation.lamp.mode === 'flash';
    form = rowOf(operation.verb).wears ?? form;
    // Who soaks both hands at once wraps and opens with fingers that are wrapped.
    if (operation.verb === 'soak') soaks = operation.scope !== 'set';
    else if (rowOf(operation.verb).bares) soaks = false;
    const task: Task = {
      operation: operation.id,
      hand_s: operation.hand_s,
      class: operation.class,
      work: sameWork(operation),
      rank: i,
      dusty: rowOf(operation.verb).dusty ?? false,
      wait_s: operation.wait_s ?? 0,
      wet,
      tacky,
    };
    if (operation.fixed_s !== undefined) task.fixed_s = operation.fixed_s;
    if (operation.own) task.own = { quick: operation.own.quick, slow: operation.own.slow };
    if (wet || flashed || form || soaks) task.unfit = true;
    if (form) task.form = true;
    if (operation.lamp) task.light = operation.lamp;
    if (operation.open_s !== undefined) {
      const most_s = operation.open_s <= RUNNY_S ? operation.open_s : operation.open_s * CREEPS;
      task.open = { guide_s: operation.open_s, most_s };
    }
    if (INTO_A_BED.includes(operation.verb) && wet) {
      task.open = BED_OPEN;
      task.renews = true;
    }
    if (PRIMING.includes(operation.verb)) task.due = PRIMED;
    if (operation.verb === 'soak') {
      const soak_s = operation.wait_s ?? 0;
      const past = operation.scope === 'set' ? BOTH_SOAKED : SOAKED;
      task.due = {
        guide_s: soak_s + past.guide_s,
        most_s: soak_s + past.most_s,
        to: 'next',
        kind: 'soaked-too-long',
      };
    }
    if (hasSet && !form) task.settles = true;
    // What rests until it has gone dull keeps its hand from working for as long: that wait belongs to the work before it,
    // also where something below stays soft.
    const goneDull = (at: number) => staysSoft || !states[at]!.wet;
    if (wet && !form && next && onlyRests(next) && goneDull(i + 1)) {
      task.wait_s += next.wait_s ?? 0;
      task.settles = true;
    }
    if (onlyRests(operation) && i > 0 && states[i - 1]!.wet && !lit && !form && goneDull(i)) task.wait_s = 0;
    if (setting && next?.verb === 'pinch') {
      // From its first touch: the first bead stiffens while the last is laid.
      const most_s = setting.dry_s - operation.hand_s - next.hand_s;
      const guide_s = Math.min(most_s, Math.max(operation.wait_s ?? 0, most_s - STIFF_S));
      task.due = { guide_s, most_s, to: 'next', kind: 'pinched-too-late' };
    }
    // Pieces go into a bead while that is wet: each with what is left of its working time.
    if (setting && operation.verb === 'bed') wetLeft_s = Math.max(1, setting.working_s - operation.hand_s);
    const goesOn = wet && next !== undefined && INTO_A_BED.includes(next.verb);
    if (wetLeft_s > 0 && goesOn) {
      wetLeft_s = Math.max(1, wetLeft_s - next.hand_s);
      task.due = {
        guide_s: Math.min(SET_AT_ONCE_S, wetLeft_s),
        most_s: wetLeft_s,
        to: 'next',
        kind: 'gone-dull',
      };
    } else wetLeft_s = 0;
    // Gel creeps while it is left alone: work into it goes on within its open time.
    if (goesOn && task.open && !task.due) task.due = { ...task.open, to: 'next', kind: 'open-too-long' };
    if (flashed && operation.lamp && next?.verb === 'pinch') task.due = AT_ONCE;
    if (operation.lamp && next?.verb === 'burnish') task.due = WARM;
    if (flashed && operation.lamp && next?.verb === 'wipe-spill') task.due = SPILL;
    if (dust) task.dust = true;
    // No light hastens what sets by itself.
    if ((wet || flashed) && next && !setting && wantsSoft(next, product)) task.soft = true;
    // Only what its light has hardened, or what has set by itself: stones that were just set would be smeared.
    if (tacky && hard && (hasSet || !states[i]!.wet) && !flashed && holdsWiped(operations, i + 1, product))
      task.wipeable = true;
    if (isHeldAfter(operations[i - 1], operation)) task.held = true;
    const scope = operation.scope === 'set' ? 'set' : PRIMING.includes(operation.verb) ? primedWith : hand;
    // What is made ahead is made for all nails in one go, filled moulds waiting for each other.
    const made = operation.stage === 'ahead' && operation.scope !== undefined && !operation.in_tip;
    if ((made || early.has(operation.id) || late.has(operation.id)) && !apart.has(operation.id))
      task.together = `${scope}/${operation.element}/${operation.step}#${operation.pass}`;
    return task;
  });
}

/** The operations at the beginning of a list that belong to some stages: in their place, and so done in rounds. */
function shared(operations: readonly Operation[], ...stages: Operation['stage'][]): Set<string> {
  const own = operations.filter((one) => one.stage !== 'ahead');
  const end = own.findIndex((one) => !stages.includes(one.stage) || one.element === 'own');
  return new Set(own.slice(0, end < 0 ? own.length : end).map((one) => one.id));
}

/** Time that only passes on a nail. */
function onlyRests({ hand_s, lamp, wait_s }: Operation): boolean {
  return hand_s === 0 && !lamp && wait_s !== undefined;
}

/** Whether an operation needs what it meets still to give. */
function wantsSoft(operation: Operation, product: (id: string) => Product): boolean {
  const hard = { material: 'clear', phase: 'cured', finish: 'slick', soil: 'clean', prep: 'none' } as const;
  return rowOf(operation.verb).refuses(hard, laidBy(operation, product)) === 'needs-wet';
}

/** Whether what comes next on a nail holds without its sticky layer. */
function holdsWiped(
  operations: readonly Operation[],
  from: number,
  product: (id: string) => Product,
): boolean {
  const next = operations.slice(from).find((one) => one.deposit || one.verb === 'wipe');
  if (!next || next.verb === 'wipe') return true;
  const laid = laidBy(next, product);
  return (['gel', 'clear', 'top'] as const).every(
    (material) =>
      rowOf(next.verb).refuses(
        { material, phase: 'cured', finish: 'wiped', soil: 'clean', prep: 'none' },
        laid,
      ) === undefined,
  );
}

/**
 * Both hands are prepared before either is dehydrated and primed: each nail's preparation goes before the
 * other hand's. Not asked of a nail whose own order, or a statement of the artist's, says otherwise.
 */
function preparedFirst(
  nails: readonly NailWork[],
  chains: readonly Chain[],
  precedences: readonly Precedence[],
): Precedence[] {
  const split = nails.flatMap(({ nail, operations }) => {
    const at = operations.findIndex((one) => PRIMING.includes(one.verb));
    // A form that is fitted before the primer is of the hand that is built, no preparation.
    const prepared = operations.slice(0, Math.max(0, at)).findLast((one) => !rowOf(one.verb).wears);
    return prepared ? [{ nail, first: prepared.id, then: operations[at]!.id }] : [];
  });
  const between = (a: (typeof split)[number]) =>
    split
      .filter((b) => handOf(b.nail) !== handOf(a.nail))
      .map((b): Precedence => ({ first: a.first, then: b.then }));
  const all = split.flatMap(between);
  if (canLineUp(chains, [...precedences, ...all])) return all;
  return split.reduce<Precedence[]>((kept, one) => {
    const more = [...kept, ...between(one)];
    return canLineUp(chains, [...precedences, ...more]) ? more : kept;
  }, []);
}
