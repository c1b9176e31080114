import { buildOf, frameOf, lookOf } from '../document/nailContext';
import { FAMILIES } from '../craft/families';
import type { Operation } from '../craft/operation';
import { rowOf } from '../craft/surfaces';
import type { SetDocument } from '../document/document';
import { tipsOf } from '../judge/rules/tipSize';
import { leastOf } from '../model/extent';
import { NAILS, type NailName } from '../model/names';
import { rounded } from '../model/rounded';
import type { NailFacts, Worn } from '../model/wear';
import { standing } from '../bench/events';
import type { Bench } from '../bench/log';
import { recipesOf } from '../bench/recipes';
import { figureWords } from '../craft/recalled';
import type { Bottles } from '../model/shelf';
import type { Plan } from '../plan/planSet';

/** What of a set was really done: the steps, when, and what light they got. Without a log it is taken as planned. */
interface Doings {
  done: ReadonlyMap<string, number>;
  /** The least share of its light that a nail got. */
  light: ReadonlyMap<string, number>;
  /** What was said of recipes, by the operations it was said of. */
  recipes: ReadonlyMap<string, readonly Said[]>;
}

type Said = Parameters<typeof figureWords>[0];

interface Asked {
  /** The record of its sitting, where it was worked from the bench. */
  bench?: Pick<Bench, 'events'> | undefined;
  /** The day it was made, ISO 8601. */
  on: string;
  client?: string | null;
  /** What is known of the bottles on the shelf that day. */
  bottles?: Bottles;
}

/** A planned set as it was worn from a day on, with what is known of each nail. */
export function wornOf(set: SetDocument, plan: Plan, { bench, on, client = null, bottles }: Asked): Worn {
  const doings = bench ? fromLog(bench) : asPlanned(plan);
  const tips = new Map(tipsOf(set).fits.map((fit) => [fit.nail, fit.spare_mm]));
  const nails = Object.fromEntries(
    NAILS.map((name) => [
      name,
      set.nails[name].in_work
        ? {
            facts: factsOf(set, plan, name, doings, { spare_mm: tips.get(name), past: bottles?.past }),
            notes: [],
          }
        : null,
    ]),
  ) as unknown as Worn['nails'];
  const used = new Set(NAILS.flatMap((name) => nails[name]?.facts.products ?? []));
  const batches = Object.fromEntries(
    set.kit.products.flatMap(({ id, name }) => {
      const batch = used.has(name) ? bottles?.batches.get(id) : undefined;
      return batch === undefined ? [] : [[name, batch]];
    }),
  );
  const { primer, base, edge_mm, pace, stones, tips: tipsWay } = set.practice;
  return {
    set: set.id,
    title: set.title,
    client,
    made_on: on,
    off_on: null,
    by: bench ? 'bench' : 'plan',
    ...(Object.keys(batches).length > 0 ? { batches } : {}),
    practice: { primer, base, edge_mm: `${edge_mm} mm`, pace, stones, tips: tipsWay },
    nails,
  };
}

function asPlanned({ sitting }: Plan): Doings {
  return {
    done: new Map([
      ...sitting.strokes.map((one) => [one.operation, one.end_s] as const),
      ...sitting.loads.flatMap((load) => load.operations.map((id) => [id, load.end_s] as const)),
    ]),
    light: new Map(),
    recipes: new Map(),
  };
}

function fromLog({ events }: Pick<Bench, 'events'>): Doings {
  const done = new Map<string, number>();
  const light = new Map<string, number>();
  const recipes = new Map<string, readonly Said[]>();
  const cut = new Map(events.flatMap((one) => (one.what === 'cut-short' ? [[one.of, one] as const] : [])));
  standing(events).forEach((one, i) => {
    if (one?.what === 'done') for (const { operation } of one.pieces) done.set(operation, one.at_ms / 1000);
    if (one?.what === 'undone') for (const id of one.operations) done.delete(id);
    if (one?.what === 'recipe') for (const id of one.operations) recipes.set(id, one.figures);
    if (one?.what !== 'lit') return;
    for (const id of one.operations) done.set(id, one.at_ms / 1000 + one.seconds);
    const short = cut.get(i);
    const share = short ? (short.at_ms - one.at_ms) / 1000 / one.seconds : 1;
    // A light that is given again makes up for the one before.
    for (const id of one.operations) light.set(id, Math.min(1, Math.max(light.get(id) ?? 0, share)));
  });
  return { done, light, recipes };
}

function factsOf(
  set: SetDocument,
  plan: Plan,
  name: NailName,
  { done, light, recipes }: Doings,
  { spare_mm, past }: { spare_mm: number | undefined; past: ReadonlySet<string> | undefined },
): NailFacts {
  const nail = set.nails[name];
  const build = buildOf(set, nail);
  const frame = frameOf(nail, build);
  const operations = plan.operations[name];
  const was = (one: Operation) => done.has(one.id);
  const did = (verb: string) => operations.some((one) => one.verb === verb && was(one));
  const products = new Map(set.kit.products.map((product) => [product.id, product.name]));
  const used = [...new Set(operations.filter(was).flatMap(({ product }) => (product ? [product] : [])))];
  const body = plan.bodies[name];
  const lights = operations.flatMap(({ id }) => light.get(id) ?? []);
  const fixing = operations.find(({ deposit }) => deposit?.kind === 'tip' || deposit?.kind === 'half-tip');
  return {
    build: build.kind,
    build_name: build.name,
    look: lookOf(set, nail)?.name ?? null,
    length_mm: rounded(frame.length_mm, 1),
    bed_mm: rounded(frame.bed_mm, 1),
    products: used.flatMap((id) => products.get(id) ?? []),
    left_out: [
      ...new Set(operations.filter((one) => !was(one) && isWork(one)).map(({ verb }) => verb as string)),
    ],
    dehydrated: did('dehydrate'),
    primed: did('prime'),
    buffed: did('buff') || did('file-back'),
    primed_to_wet_s: primedToWet_s(operations, done),
    least_light: lights.length > 0 ? rounded(leastOf(lights), 2) : null,
    tip_spare_mm: spare_mm ?? null,
    capped: operations.some((one) => was(one) && closes(set, one)),
    edge_mm: body?.edge_mm ?? null,
    cuticle_mm: body?.cuticle_mm ?? null,
    carries: body?.carries ?? null,
    conditions: [...nail.conditions],
    past_date: used.filter((id) => past?.has(id)).flatMap((id) => products.get(id) ?? []),
    fixing_mm3: fixing ? (plan.laid_mm3[fixing.id] ?? null) : null,
    ...recipesIn(set, plan, operations.filter(was), recipes),
  };
}

const MOST_RECIPE = 300;

/** Magnets, marbles and mixes of what was done on a nail: as was said of them, else as they were planned. */
function recipesIn(
  set: SetDocument,
  plan: Plan,
  done: readonly Operation[],
  said: Doings['recipes'],
): Pick<NailFacts, 'recipes'> {
  const asked = recipesOf(
    set,
    plan.operations,
    done.map(({ id }) => id),
  );
  if (asked.length === 0) return {};
  return {
    recipes: asked.map(({ words, operations, figures }) => {
      const really = operations.flatMap((id) => said.get(id) ?? []);
      const told = (really.length > 0 ? really : figures).map(figureWords);
      return `${words}: ${[...new Set(told)].join(', ')}`.slice(0, MOST_RECIPE);
    }),
  };
}

/** A top, of gel or of lacquer: it is drawn over the rim of the free edge. */
function closes(set: SetDocument, { product }: Operation): boolean {
  const family = set.kit.products.find(({ id }) => id === product)?.family;
  return family !== undefined && (FAMILIES[family].laid === 'top' || family === 'lacquer-top');
}

/** Something a hand does; what only passes time is left out by nobody. */
function isWork({ hand_s, verb }: Operation): boolean {
  return hand_s > 0 && verb !== 'rest' && verb !== 'oil';
}

/** From the last that prepares the plate to the first that is laid on it. */
function primedToWet_s(operations: readonly Operation[], done: ReadonlyMap<string, number>): number | null {
  const first = operations.findIndex(
    ({ deposit, verb, in_tip }) => deposit && !in_tip && !rowOf(verb).missed,
  );
  const laid = operations
    .slice(Math.max(0, first))
    .find(({ deposit, id, in_tip }) => deposit && !in_tip && done.has(id));
  if (!laid) return null;
  const at = operations.indexOf(laid);
  const prepared = operations
    .slice(0, at)
    .filter(({ verb, id }) => (verb === 'prime' || verb === 'dehydrate') && done.has(id))
    .map(({ id }) => done.get(id)!);
  const last = prepared.at(-1);
  if (last === undefined) return null;
  return rounded(Math.max(0, done.get(laid.id)! - laid.hand_s - last), 0);
}
