import { proxy, wrap, type Remote } from 'comlink';
import type { SetDocument } from '@/core/document/document';
import type { Point } from '@/core/geometry/frame';
import type { NailName } from '@/core/model/names';
import type { Contrast } from '@/core/picture/contrast';
import type { NailPicture } from '@/core/picture/nailPicture';
import type { Raster } from '@/core/picture/raster';
import type { WhyHere } from '@/core/plan/whyHere';
import type { Bundle, Shortening } from '@/core/plan/shorten';
import type { WayMeasured } from '@/core/plan/waysOfWorking';
import type { Accent } from '@/core/stock/accents';
import type { Need } from '@/core/stock/needs';
import type { Worn } from '@/core/model/wear';
import type { CalendarRead } from '@/core/files/calendarIn';
import type { Aging } from '@/core/wear/aging';
import type { Growth } from '@/core/wear/growth';
import type { Plan } from '@/core/plan/planSet';
import type { Begun, HandWipe } from '@/core/timing/problem';
import type { Forecast } from '@/core/timing/forecast';
import { AT_LENGTH } from '@/core/timing/effort';
import type { Found } from '@/core/timing/sitting';
import { Desk, type Hire } from './desk';
import { isSign } from './signs';
import { WorkQueue } from './workQueue';
import type { SmallPhoto } from './photoIn';
import type { Wishes } from '@/core/compose/compose';
import type { Product } from '@/core/model/product';
import type { Result } from '@/core/model/result';
import type {
  Composed,
  Done,
  DoneAsked,
  FingerAsked,
  MatchedColour,
  Palette,
  Planned,
  PlannerApi,
  Polished,
  Righted,
  Stage,
} from './plannerApi';

/** Ample for a set on a slow machine; whoever needs more has lost the thread. */
const PLAN_LIMIT_S = 30;
const PICTURE_LIMIT_S = 15;
const POLISH_LIMIT_S = 180;

/** A worker says so soon that it is there, however slow the machine: before it has loaded what it works with. */
const SIGN_MS = 5000;

const hire: Hire<Remote<PlannerApi>> = (onLost) => {
  const worker = new Worker(new URL('./planner.worker.ts', import.meta.url), { type: 'module' });
  const late = setTimeout(() => onLost('its worker gave no sign of life'), SIGN_MS);
  const dismissed = new AbortController();
  worker.addEventListener('message', ({ data }: MessageEvent<unknown>) => {
    if (!isSign(data)) return;
    clearTimeout(late);
    if (data.sign === 'lost') onLost(data.why);
    // The lock it holds comes free when it dies, however silently.
    if (data.sign === 'held')
      globalThis.navigator.locks
        .request(data.lock, { signal: dismissed.signal }, () => onLost('its worker has died'))
        .catch(() => undefined);
  });
  worker.addEventListener('error', (event) => {
    event.preventDefault();
    onLost(event.message || 'its worker could not be started');
  });
  worker.addEventListener('messageerror', () => onLost('its answer could not be read'));
  return {
    api: wrap<PlannerApi>(worker),
    dismiss: () => {
      clearTimeout(late);
      dismissed.abort();
      worker.terminate();
    },
  };
};

/** Draws nails, and plans as well until the planner can. */
const painter = new Desk(hire);
/** One more than is being drawn, so that the painter never waits for the page. */
const pictures = new WorkQueue(2);
/** Plans and searches at length, so that a picture never waits for a sitting. */
const planner = new Desk<Remote<PlannerApi>>((onLost) => {
  plannerWorks = false;
  return hire(onLost);
});
/**
 * A worker compiles the core before it is quick, for seconds; two that do so at once keep each other, and the eye, waiting.
 * So the first plan of a page is the painter's, and the planner is hired for what is searched for after it.
 */
let plannerWorks = false;

/** A worker takes a while to start: called before there is a set to draw and plan. */
export function openWorkers(): void {
  painter.open();
}

/** What the painter does first: what a hand holds, the ten nails, the large one, a plan, small pictures beside them, skin. */
export const RANK = { held: 0, spread: 1, large: 2, plan: 3, small: 4, skin: 5 } as const;

/** Pictures that cannot be drawn must not keep the plan from being made, or from being told as not made. */
const PICTURES_FIRST_MS = 900;

export async function planOf(set: SetDocument, known?: Found): Promise<Planned> {
  if (!plannerWorks)
    await Promise.race([pictures.add(RANK.plan, async () => undefined), wait(PICTURES_FIRST_MS)]);
  const desk = plannerWorks ? planner : painter;
  return desk.ask((api) => api.plan(set, searchLength() === 0, known), PLAN_LIMIT_S);
}

function wait(ms: number): Promise<void> {
  return new Promise((resolve) => setTimeout(resolve, ms));
}

export function shorteningsOf(set: SetDocument, begun?: Begun): Promise<Shortening[]> {
  return planner.ask((api) => api.shorten(set, begun), PLAN_LIMIT_S);
}

/** What of these to take up so that the set takes no longer; undefined where nothing has to go. */
export function withinTime(
  set: SetDocument,
  goal_s: number,
  list: readonly Shortening[],
): Promise<Bundle | undefined> {
  return planner.ask((api) => api.within(set, goal_s, list), PLAN_LIMIT_S);
}

/** What a set comes to as it is worked now. */
export function wayMeasured(set: SetDocument, helped = false): Promise<WayMeasured> {
  return planner.ask((api) => api.measuredWay(set, helped), PLAN_LIMIT_S);
}

/** What a set takes, whatever its order. */
export function needsFor(set: SetDocument): Promise<Need[]> {
  return planner.ask((api) => api.needs(set), PLAN_LIMIT_S);
}

/** What a set that is done took, and what of it is known from then on. */
export function doneOf(set: SetDocument, asked: DoneAsked): Promise<Done> {
  return planner.ask((api) => api.done(set, asked), PLAN_LIMIT_S);
}

/** How each nail of a worn set ages over some days. */
export function agingFor(
  set: SetDocument,
  worn: Pick<Worn, 'nails'>,
  days: readonly number[],
  growth: Growth,
): Promise<Aging[]> {
  return planner.ask((api) => api.aging(set, worn, days, growth), PLAN_LIMIT_S);
}

/** What each accent of a set costs. */
export function accentsFor(set: SetDocument): Promise<Accent[]> {
  return planner.ask((api) => api.accents(set), PLAN_LIMIT_S);
}

/** When a planned sitting will be over, of many evenings with these hands. */
export function forecastFor(set: SetDocument, { operations, sitting }: Plan): Promise<Forecast> {
  return planner.ask((api) => api.forecast(set, { operations, sitting }), PLAN_LIMIT_S);
}

export interface PictureAsked {
  set: SetDocument;
  name: NailName;
  px_per_mm: number;
  turn_deg?: number;
  rank: (typeof RANK)[keyof typeof RANK];
}

/** A nail in its finished look; undefined where it was not `wanted` any more when its turn came. */
export function pictureOf(asked: PictureAsked): Promise<NailPicture>;
export function pictureOf(asked: PictureAsked, wanted: () => boolean): Promise<NailPicture | undefined>;
export function pictureOf(asked: PictureAsked, wanted?: () => boolean): Promise<NailPicture | undefined> {
  const { set, name, px_per_mm, turn_deg = 0, rank } = asked;
  return pictures.add(
    rank,
    () =>
      painter.ask(
        (api) =>
          rank === RANK.held
            ? api.preview(set, name, px_per_mm)
            : api.picture(set, name, px_per_mm, turn_deg),
        PICTURE_LIMIT_S,
      ),
    wanted,
  );
}

/** Other ways to wear a set's looks. */
export function composed(set: SetDocument, wishes: Wishes, count: number): Promise<Composed> {
  return planner.ask((api) => api.compose(set, wishes, count), PLAN_LIMIT_S);
}

/** The colours of a picture, matched with products. */
export function paletteOfPicture(file: Blob, products: readonly Product[]): Promise<Result<Palette>> {
  return planner.ask((api) => api.palette(file, products) as Promise<Result<Palette>>, PICTURE_LIMIT_S);
}

/** The events of a calendar file from a day on, for so many days. */
export function calendarFrom(text: string, from: string, days: number): Promise<Result<CalendarRead>> {
  return planner.ask(
    (api) => api.calendar(text, from, days) as Promise<Result<CalendarRead>>,
    PICTURE_LIMIT_S,
  );
}

/** A photo as it is kept. */
export function smallPhotoOf(file: Blob): Promise<Result<SmallPhoto>> {
  return planner.ask((api) => api.photo(file) as Promise<Result<SmallPhoto>>, PICTURE_LIMIT_S);
}

export function matchesOf(
  colours: readonly string[],
  products: readonly Product[],
): Promise<MatchedColour[]> {
  return planner.ask((api) => api.matches(colours, products), PICTURE_LIMIT_S);
}

export function fingerOfNail(asked: FingerAsked, px_per_mm: number): Promise<Raster>;
export function fingerOfNail(
  asked: FingerAsked,
  px_per_mm: number,
  wanted: () => boolean,
): Promise<Raster | undefined>;
export function fingerOfNail(
  asked: FingerAsked,
  px_per_mm: number,
  wanted?: () => boolean,
): Promise<Raster | undefined> {
  return pictures.add(
    RANK.skin,
    () => painter.ask((api) => api.finger(asked, px_per_mm), PICTURE_LIMIT_S),
    wanted,
  );
}

/** How far two elements of a nail can be told apart. */
export function contrastOn(
  set: SetDocument,
  name: NailName,
  pair: readonly [string, string],
): Promise<Contrast | undefined> {
  return painter.ask((api) => api.contrast(set, name, pair), PICTURE_LIMIT_S);
}

/** The line of an SVG path, read where it holds nobody up. */
export function lineOfPath(d: string): Promise<Result<Point[]>> {
  return planner.ask((api) => api.line(d) as Promise<Result<Point[]>>, PICTURE_LIMIT_S);
}

/** A nail part-way through its operations. */
export function stageOf(
  set: SetDocument,
  name: NailName,
  wipes: readonly HandWipe[],
  done: number,
  px_per_mm: number,
): Promise<Stage> {
  return painter.ask((api) => api.stage(set, name, wipes, done, px_per_mm), PICTURE_LIMIT_S);
}

/** Plans a set at length: a long search and ways out tried. Undefined where it was stopped. */
export async function polish(
  set: SetDocument,
  onProgress: (share: number) => void,
  known?: Found,
): Promise<(Pick<Polished, 'plan'> & Partial<Polished>) | undefined> {
  const iterations = searchLength();
  // A test that looks at something else: the first plan is the last.
  if (iterations === 0) return planOf(set);
  const tell = (share: number) => {
    plannerWorks = true;
    onProgress(share);
  };
  const polished = await planner.ask(
    (api) => api.polish(set, iterations, proxy(tell), known),
    POLISH_LIMIT_S,
  );
  if (polished) plannerWorks = true;
  return polished;
}

/** The smallest change that puts nails right; undefined where it was stopped. */
export function putRight(
  set: SetDocument,
  names: readonly NailName[],
  onProgress: (share: number) => void,
): Promise<Righted | undefined> {
  return planner.ask((api) => api.putRight(set, names, proxy(onProgress)), POLISH_LIMIT_S);
}

/** What keeps a step where it stands, tried on the nail. */
export function whyStepHere(set: SetDocument, name: NailName, id: string): Promise<WhyHere> {
  return planner.ask((api) => api.whyHere(set, name, id), PICTURE_LIMIT_S);
}

/** The rest of a sitting under way, planned from where it stands. */
export function goOnFrom(set: SetDocument, begun: Begun): Promise<Plan> {
  return planner.ask((api) => api.goOn(set, begun), PLAN_LIMIT_S);
}

export function stopPuttingRight(): void {
  planner.tell((api) => api.stopPuttingRight());
}

export function stopPolishing(): void {
  planner.tell((api) => api.stopPolishing());
}

/** Sequences to try; `search-iterations` in the page's local storage makes them fewer, or none, for tests. */
function searchLength(): number {
  const asked = readLocal('search-iterations');
  return asked === null ? AT_LENGTH.iterations : Math.min(Number(asked) || 0, AT_LENGTH.iterations);
}

function readLocal(key: string): string | null {
  try {
    return localStorage.getItem(key);
  } catch {
    return null;
  }
}
