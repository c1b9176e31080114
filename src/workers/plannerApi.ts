import { svgLine } from '@/core/files/svgLine';
import type { Point } from '@/core/geometry/frame';
import { transfer } from 'comlink';
import { buildOf, frameOf } from '@/core/document/nailContext';
import { forecastOf } from '@/core/plan/forecastOf';
import type { Forecast } from '@/core/timing/forecast';
import type { SetDocument } from '@/core/document/document';
import { matchColour, type Match } from '@/core/colour/match';
import { paletteOf } from '@/core/colour/palette';
import { hexOf, linearOf } from '@/core/colour/space';
import type { Product } from '@/core/model/product';
import { ok, type Result } from '@/core/model/result';
import { photoIn, type SmallPhoto } from './photoIn';
import { pictureIn } from './pictureIn';
import { sliced } from './sliced';
import { balanceOf } from '@/core/judge/balance';
import { compose, type Proposal, type Wishes } from '@/core/compose/compose';
import { profilesOf, wornProfile } from '@/core/compose/profile';
import type { LookProfile } from '@/core/judge/profile';
import type { NailName } from '@/core/model/names';
import { changedBox, type Painted } from '@/core/picture/changed';
import { drawNail, type NailPicture } from '@/core/picture/nailPicture';
import { contrastOf, type Contrast } from '@/core/picture/contrast';
import { drawFinger } from '@/core/picture/finger';
import type { Raster } from '@/core/picture/raster';
import { crosswise, lengthwise, type Section } from '@/core/picture/section';
import { withHandWipes } from '@/core/plan/handWipes';
import { applyChange } from '@/core/document/changes';
import { kitKey, nailKey, touchedBy } from '@/core/plan/nailKey';
import { orderDifference, type OrderDifference } from '@/core/plan/orderDifference';
import { whyHere, type WhyHere } from '@/core/plan/whyHere';
import { puttingRight, type PutRight } from '@/core/plan/putRight';
import { heldNail, planNail } from '@/core/plan/nailPlan';
import { newMemo, planning, planSet, recall, type Plan } from '@/core/plan/planSet';
import { shorten, within, type Bundle, type Shortening } from '@/core/plan/shorten';
import { measuredWay, type WayMeasured } from '@/core/plan/waysOfWorking';
import { accentsOf, bareNeeds, type Accent } from '@/core/stock/accents';
import { needsOf, type Need } from '@/core/stock/needs';
import type { Bench } from '@/core/bench/log';
import type { Worn } from '@/core/model/wear';
import type { CalendarRead } from '@/core/files/calendarIn';
import type { Bottles } from '@/core/model/shelf';
import { wornOf } from '@/core/wear/facts';
import { agingOf, type Aging } from '@/core/wear/aging';
import type { Growth } from '@/core/wear/growth';
import type { NailField } from '@/core/simulate/field';
import type { Rerun } from '@/core/simulate/rerun';
import { nominalSteps, simulateNail } from '@/core/simulate/simulate';
import type { Begun, HandWipe } from '@/core/timing/problem';
import type { Found } from '@/core/timing/sitting';

export interface Planned {
  plan: Plan;
  took_ms: number;
  /** Its sitting is one that was found at length before. */
  settled: boolean;
}

/** A plan made at length, and what its sitting was found by. */
export interface Polished {
  plan: Plan;
  found: Found;
}

/** What puts nails right, and what it changes in the order of each nail it touches. */
export interface Righted extends PutRight {
  orders: { nail: NailName; difference: OrderDifference }[];
}

/** A nail part-way through its operations: the picture and both cuts. */
export interface Stage {
  picture: NailPicture;
  cuts: BothCuts;
  /** The cuts of the finished nail: every stage is drawn at their scale and in their place. */
  finished: BothCuts;
}

export interface BothCuts {
  lengthwise: Section;
  crosswise: Section;
}

/** A colour and what comes near it. */
export interface MatchedColour {
  colour: string;
  single?: Match;
  mix?: Match;
}

export interface Palette {
  colours: (MatchedColour & { share: number })[];
  moves: boolean;
}

const PALETTE_COLOURS = 6;

export interface Composed {
  profiles: LookProfile[];
  balance: string[];
  proposals: Proposal[];
}

/** Whose finger, how much of it, and how it lies. */
export interface FingerAsked {
  set: SetDocument;
  name: NailName;
  below_mm: number;
  turn_deg: number;
}

/** Of a set that is done: its record, the day, whose hands, and what is known of the bottles. */
export interface DoneAsked {
  bench?: Bench | undefined;
  on: string;
  client: string | null;
  bottles: Bottles;
}
export interface Done {
  needs: Need[];
  worn: Worn;
}

/** What pages ask of a worker. Everything it computes comes from core. */
export interface PlannerApi {
  /** A plan as it is made while an artist edits; `shortly`: with hardly a search. */
  plan: (set: SetDocument, shortly: boolean, known?: Found) => Planned;
  /**
   * The same at length, in slices, so that plans and pictures asked meanwhile are not kept waiting; `onProgress` hears
   * the share of the search that is done. Undefined where it was stopped, or another took its place.
   */
  polish: (
    set: SetDocument,
    iterations: number,
    onProgress: (share: number) => void,
    known?: Found,
  ) => Promise<Polished | undefined>;
  stopPolishing: () => void;
  /**
   * The smallest change that clears what is found on some nails, in slices; with it what it changes in their orders. Undefined where it
   * was stopped, or another took its place.
   */
  putRight: (
    set: SetDocument,
    names: readonly NailName[],
    onProgress: (share: number) => void,
  ) => Promise<Righted | undefined>;
  stopPuttingRight: () => void;
  /** The rest of a sitting that is under way. */
  goOn: (set: SetDocument, begun: Begun) => Plan;
  /** What keeps a step of a nail from standing earlier or later. */
  whyHere: (set: SetDocument, name: NailName, id: string) => WhyHere;
  /** Of a sitting under way: of what is still to do. */
  shorten: (set: SetDocument, begun?: Begun) => Shortening[];
  /** What of these to take up so that a set takes no longer; undefined where nothing has to go. */
  within: (set: SetDocument, goal_s: number, list: readonly Shortening[]) => Bundle | undefined;
  /** What a set comes to as it is worked now. */
  measuredWay: (set: SetDocument, helped?: boolean) => WayMeasured;
  /** What a set takes, whatever its order. */
  needs: (set: SetDocument) => Need[];
  /** What a set that is done took, and what of it is known from then on. */
  done: (set: SetDocument, asked: DoneAsked) => Done;
  /** Which nail of a worn set carries least after so many days. */
  aging: (set: SetDocument, worn: Pick<Worn, 'nails'>, days: readonly number[], growth: Growth) => Aging[];
  /** What each accent of a set costs. */
  accents: (set: SetDocument) => Accent[];
  /** When a planned sitting will be over, of many evenings. */
  forecast: (set: SetDocument, plan: Pick<Plan, 'operations' | 'sitting'>) => Forecast;
  /** One nail in its finished look, its finger turned so under the lamp. */
  picture: (set: SetDocument, name: NailName, px_per_mm: number, turn_deg: number) => NailPicture;
  /** The same while a hand moves something on it: only what has changed since the last is drawn anew. */
  preview: (set: SetDocument, name: NailName, px_per_mm: number) => NailPicture;
  /** The set's looks weighed, what the eye finds on its hands, and other ways to wear them. */
  compose: (set: SetDocument, wishes: Wishes, count: number) => Composed;
  /** The colours of a picture, each with what of these products comes near it. */
  palette: (file: Blob, products: readonly Product[]) => Promise<Result<Palette>>;
  /** A photo made small, without what its camera wrote into it. */
  photo: (file: Blob) => Promise<Result<SmallPhoto>>;
  /** The events of a calendar file from a day on, for so many days. */
  calendar: (text: string, from: string, days: number) => Promise<Result<CalendarRead>>;
  /** Colours that are named, matched the same way. */
  matches: (colours: readonly string[], products: readonly Product[]) => MatchedColour[];
  /** How far two elements of a nail can be told apart on it. */
  contrast: (set: SetDocument, name: NailName, pair: readonly [string, string]) => Contrast | undefined;
  /** The finger that a nail sits on. */
  finger: (finger: FingerAsked, px_per_mm: number) => Raster;
  /** The line of an SVG path's `d`, in the path's own units. */
  line: (d: string) => Result<Point[]>;
  /** The nail after its first `done` operations. */
  stage: (
    set: SetDocument,
    name: NailName,
    wipes: readonly HandWipe[],
    done: number,
    px_per_mm: number,
  ) => Stage;
}

/** Sequences tried where nobody looks at the sitting. */
const SHORTLY = 60;

export function plannerApi(): PlannerApi {
  const memo = newMemo();
  // What was planned to be drawn is there when the set is planned.
  const planned = (set: SetDocument, name: NailName) =>
    recall(memo.nails, nailKey(set, name, kitKey(set)), () => planNail(set, name));
  const productIn = (set: SetDocument) => {
    const products = new Map(set.kit.products.map((product) => [product.id, product]));
    return (id: string) => products.get(id)!;
  };

  let polishes = 0;
  let rightings = 0;
  let before: { name: NailName; run: Rerun; painted: Painted; picture: NailPicture } | undefined;

  return {
    plan: (set, shortly, known) => {
      const start = performance.now();
      const effort = shortly ? { iterations: SHORTLY } : {};
      let settled = false;
      const onFound = (_: Found, wasKnown: boolean) => (settled = wasKnown);
      const plan = planSet(set, { memo, fixes: false, effort, known, onFound });
      return { plan, took_ms: performance.now() - start, settled };
    },
    polish: async (set, iterations, onProgress, known) => {
      const mine = (polishes += 1);
      let found: Found | undefined;
      const onFound = (one: Found) => (found = one);
      const work = planning(set, { memo, known, onFound, effort: { iterations } });
      const plan = await sliced(work, () => mine === polishes, onProgress);
      return plan && { plan, found: found! };
    },
    goOn: (set, begun) => planSet(set, { memo, fixes: false, begun }),
    stopPolishing: () => void (polishes += 1),
    putRight: async (set, names, onProgress) => {
      const mine = (rightings += 1);
      const made = await sliced(puttingRight(set, names), () => mine === rightings, onProgress);
      if (!made) return undefined;
      const next = made.change ? applyChange(set, made.change) : undefined;
      const orders = next?.ok
        ? touchedBy(set, next.value).map((nail) => ({
            nail,
            difference: orderDifference(
              planned(set, nail).compiled.operations,
              planned(next.value, nail).compiled.operations,
            ),
          }))
        : [];
      return { ...made, orders };
    },
    stopPuttingRight: () => void (rightings += 1),
    whyHere,
    shorten: (set, begun) => shorten(set, begun, memo),
    within: (set, goal_s, list) => within(set, goal_s, list, memo),
    measuredWay: (set, helped) => measuredWay(set, memo, helped),
    needs: (set) => bareNeeds(set, memo),
    done: (set, { bench, on, client, bottles }) => {
      const plan = planSet(set, { memo, fixes: false, effort: { iterations: SHORTLY } });
      return {
        needs: needsOf(set, plan),
        worn: wornOf(set, plan, { bench, on, client, bottles }),
      };
    },
    aging: agingOf,
    accents: (set) => accentsOf(set, memo),
    picture: (set, name, px_per_mm, turn_deg) => {
      const picture = drawNail(planned(set, name).nominal.field, productIn(set), px_per_mm, turn_deg);
      // Pixels are moved, not copied.
      return transfer(picture, [picture.data.buffer]);
    },
    preview: (set, name, px_per_mm) => {
      const last = before?.name === name ? before : undefined;
      const run = heldNail(set, name, last?.run);
      const painted = { field: run.field, product: productIn(set) };
      const box = last?.picture.px_per_mm === px_per_mm ? changedBox(last.painted, painted) : undefined;
      const patch = last && box && { onto: last.picture.data, box };
      const picture = drawNail(painted.field, painted.product, px_per_mm, 0, patch);
      before = { name, run, painted, picture };
      // Copied: the next one is drawn over it.
      return picture;
    },
    compose: (set, wishes, count) => {
      const profiles = profilesOf(set, planned);
      return {
        profiles,
        balance: balanceOf((finger, hand) => wornProfile(set, profiles, `${hand}-${finger}`)),
        proposals: compose(profiles, wishes, count),
      };
    },
    palette: async (file, products): Promise<Result<Palette>> => {
      const read = await pictureIn(file);
      if (!read.ok) return read;
      const { pixels, moves } = read.value;
      const colours = paletteOf(pixels, PALETTE_COLOURS).map(({ colour, share }) => ({
        colour: hexOf(colour),
        share,
        ...matchColour(colour, products),
      }));
      return ok({ colours, moves });
    },
    forecast: (set, plan) => forecastOf(set, plan),
    photo: photoIn,
    calendar: async (text, from, days) => {
      const { readCalendar } = await import('@/core/files/calendarIn');
      return readCalendar(text, from, days);
    },
    matches: (colours, products) =>
      colours.map((colour) => ({ colour, ...matchColour(linearOf(colour), products) })),
    contrast: (set, name, pair) => {
      const { compiled, nominal } = planned(set, name);
      return contrastOf(nominal.field, compiled.operations, productIn(set), pair);
    },
    finger: ({ set, name, below_mm, turn_deg }, px_per_mm) => {
      const frame = frameOf(set.nails[name], buildOf(set, set.nails[name]));
      const picture = drawFinger({ frame, skin: set.skin, below_mm, turn_deg }, px_per_mm);
      return transfer(picture, [picture.data.buffer]);
    },
    line: svgLine,
    stage: (set, name, wipes, done, px_per_mm) => {
      const { compiled, edge, nominal } = planned(set, name);
      const operations = withHandWipes(compiled, wipes);
      const { field } = simulateNail(compiled, edge, nominalSteps(operations.slice(0, done)));
      const product = productIn(set);
      const picture = drawNail(field, product, px_per_mm);
      const cuts = (of: NailField): BothCuts => ({
        lengthwise: lengthwise(of, product),
        crosswise: crosswise(of, product),
      });
      const stage = { picture, cuts: cuts(field), finished: cuts(nominal.field) };
      return transfer(stage, [picture.data.buffer]);
    },
  };
}
