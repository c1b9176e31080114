import { buildKindOf, type Build } from '../craft/builds';
import { wholePlace, type NailContext, type Standing } from '../craft/context';
import { hardenOf } from '../craft/drafts';
import { lampOf } from '../craft/families';
import { HAND_S } from '../craft/handwork';
import { laidBy, type Draft, type Stage } from '../craft/operation';
import { rowOf } from '../craft/surfaces';
import type { Element } from '../craft/techniques';
import { finish, gloss } from '../craft/techniques/finish';
import { composeBody, type NailClear } from './body';
import { placedIn, type Placed } from './placed';
import { composeInTip, darkOver } from './inTip';
import { coverer, meet, type CoveredCells } from '../craft/lattice';
import { isLacquer, isPowder, seatElements, surfaceAfter, wantsHost, type Seated } from '../craft/seats';
import { madeOf, stagesIn } from './madeOf';
import { foundOn, isOffHand, keepsOld } from './stages';
import { madeToHold } from './madeToHold';
import { oneSculpture } from './oneSculpture';
import { meltedOver, overArt, roomForFilms, thickest_um } from './thickness';
import type { Product } from '../model/product';
import { append } from '../model/extent';

/** The whole order of one nail, as it is listed and with what makes it hold, before the artist's edits. */
export function lineOf(build: Build, bare: NailContext, elements: readonly Element[]): Placed[] {
  const { edge } = buildKindOf(build.kind);
  const line = oneSculpture(stageByStage(build, bare, elements), bare);
  return roomForFilms(madeToHold(line, bare, edge, foundOn(build, bare)), bare.frame);
}

/** Work on what is put on, before it is. */
const BEFORE_IT: readonly Draft['verb'][] = ['fill-mould'];

function stageByStage(build: Build, bare: NailContext, elements: readonly Element[]): Placed[] {
  const kind = buildKindOf(build.kind);
  const cover = coverer(bare.frame);
  const sit = keepsOld(build, bare) ? undefined : kind.films?.(build);
  const seatIn = (context: NailContext) =>
    seatElements(elements, context, kind.seats, sit && (sit === 'tip' ? 'inside' : sit));
  const inGel = seatIn(bare);
  const clear = encapsulatedIn(build, elements, inGel, sit === 'tip', bare);
  const seated = clear === bare.clear ? inGel : seatIn({ ...bare, clear });
  const isInTip = (one: Seated) => sit === 'tip' && (one.seat === 'under' || one.seat === 'inside');
  const inTip = composeInTip(seated.filter(isInTip), bare, cover, kind.halves?.(build));
  const asks = seated.flatMap((one) =>
    isInTip(one) ? [] : (one.technique.inlaid?.(one.element, bare) ?? []),
  );
  const context: NailContext = {
    ...bare,
    clear,
    inlaid: asks.length > 0,
    framed: asks.length > 0 && asks.every((one) => one.island),
    dark: darkOver(inTip, bare),
  };
  const within = (seat: Seated['seat']) => seated.filter((one) => one.seat === seat && !isInTip(one));
  const onPlate = within('plate');
  const melted = meltedOver(seated, context, cover);
  const { stages, structure } = stagesIn(madeOf(elements, context), build, {
    ...context,
    ...(melted ? { melted } : {}),
    onPlate: onPlate.length > 0,
  });
  const { ahead = [], arrive = [], prepare = [], foundation = [] } = stages;
  const first = foundation.findIndex(({ verb }) => rowOf(verb).lengthens ?? BEFORE_IT.includes(verb));
  /** Up to here there is nothing but the plate. */
  const putOn = first < 0 ? foundation.length : first;
  const over_um = thickest_um(
    [...within('under'), ...within('inside')].flatMap(({ technique, drafts }) =>
      technique.inlaid ? [] : drafts,
    ),
    cover,
  );
  const body = composeBody(within('inside'), context, cover, structure && overArt(structure, over_um));
  const upper = finished(
    seated.filter((one) => one.seat === 'surface' || one.seat === 'over'),
    body,
    context,
    cover,
  );
  return [
    ...work('prep', 'ahead', ahead),
    ...seated.flatMap((one) => own(one, 'ahead', one.technique.ahead?.(one.element, context) ?? [])),
    ...inTip,
    ...work('prep', 'arrive', arrive),
    ...work('prep', 'prepare', prepare),
    ...work('build', 'foundation', foundation.slice(0, putOn)),
    ...onPlate.flatMap((one) => own(one, 'foundation', one.drafts)),
    ...work('build', 'foundation', foundation.slice(putOn)),
    ...within('under').flatMap((one) => own(one, 'body', one.drafts)),
    ...withGuests(body.placed, upper.intoBody, context),
    ...upper.line,
    ...(isOffHand(kind, bare) ? [] : work('care', 'care', [oilDraft(context)])),
  ];
}

/**
 * What pieces are encapsulated in: where a build of acrylic beads over them itself, and no film of anything else lies between, in
 * that; else in the builder.
 */
function encapsulatedIn(
  build: Build,
  elements: readonly Element[],
  seated: readonly Seated[],
  inTip: boolean,
  bare: NailContext,
): Product {
  const clear = bare.role('acrylic');
  const context: NailContext = { ...bare, clear, inlaid: true };
  const below = seated.filter((one) => one.seat === 'under' || one.seat === 'inside');
  const pieces = below.flatMap((one) => one.technique.inlaid?.(one.element, context) ?? []);
  const films = below.flatMap((one) => (one.technique.inlaid ? [] : one.drafts));
  if (inTip || pieces.length === 0 || pieces.some((one) => one.clear.id !== clear.id)) return bare.clear;
  if (films.some((one) => one.product && one.deposit && bare.product(one.product).family !== clear.family))
    return bare.clear;
  const { structure } = stagesIn(madeOf(elements, context), build, context);
  return structure?.product.id === clear.id ? clear : bare.clear;
}

function work(element: string, stage: Stage, drafts: readonly Draft[]): Placed[] {
  return placedIn(stage, element, drafts);
}

function own({ element }: Seated, stage: Stage, drafts: readonly Draft[]): Placed[] {
  return placedIn(stage, element.id, drafts);
}

/**
 * Art on the finished build, the seal, and what stands on it. The seal closes what is still open: nothing
 * where the artist's own top already did, and accents of finish come after it.
 */
function finished(
  seated: readonly Seated[],
  body: NailClear,
  context: NailContext,
  cover: (drafts: readonly Draft[]) => CoveredCells,
): { line: Placed[]; intoBody: Seated[] } {
  const { product } = context;
  const guests = seated.filter((one) => wantsHost(one.drafts, product));
  const surface = wetLast(
    seated.filter((one) => one.seat === 'surface' && !guests.includes(one)),
    context,
  );
  const over = seated.filter((one) => one.seat === 'over' && !guests.includes(one));
  const tops = surface.filter((one) => one.technique.seals?.(one.element));
  /** What is wet enough for it: a top of the artist's own, or where it is set in colour, a colour below it. */
  const hostsOf = (guest: Seated): Seated[] =>
    guest.drafts[0]!.verb === 'set-in-colour'
      ? surface.filter(
          (one) =>
            one.listed < guest.listed &&
            wetFor(guest, one.drafts, product) >= 0 &&
            meet(cover(one.drafts), cover(guest.drafts)),
        )
      : tops;
  const hostOf = (guest: Seated): Seated | undefined => {
    // Whatever is laid over the host afterwards would run over its stones.
    const clearOf = hostsOf(guest).filter((host) =>
      surface
        .slice(surface.indexOf(host) + 1)
        .every((later) => later.technique.around || !meet(cover(later.drafts), cover(guest.drafts))),
    );
    const below = clearOf.filter((host) => host.listed < guest.listed);
    return below[below.length - 1] ?? clearOf[0];
  };
  const hosts = new Map(guests.map((guest) => [guest, hostOf(guest)]));
  const homeless = guests.filter((guest) => !hosts.get(guest));
  // A floated cap is the nail's own wet top; only where art lies over it do stones wait for the seal.
  const intoBody = body.topped && surface.length === 0 ? homeless : [];
  const sealGuests = intoBody.length > 0 ? [] : homeless;
  const lastTop = surface.lastIndexOf(tops[tops.length - 1]!);
  const lacquers = trailing(surface, (one) => isLacquer(one.drafts, context));
  const painted = surface.slice(0, surface.length - lacquers);
  const accents = trailing(
    painted,
    (one) => one.technique.around === true && !one.technique.seals?.(one.element),
  );
  const art = painted.slice(0, painted.length - accents);
  const line: Placed[] = [];
  const standing: Standing[] = intoBody.flatMap((one) => one.technique.stands?.(one.element, context) ?? []);
  // Stones that their artist runs a top over, and none came since.
  let untopped = standing.some((one) => one.topped);
  const stand = (one: Seated) => {
    const stands = one.technique.stands?.(one.element, context) ?? [];
    append(standing, stands);
    untopped ||= stands.some((disc) => disc.topped);
  };
  const lay = (one: Seated, stage: Stage, drafts: readonly Draft[], guestsHere: readonly Seated[]) => {
    append(line, withGuests(own(one, stage, drafts), guestsHere, context));
    [one, ...guestsHere].forEach(stand);
  };
  const plan = (one: Seated) => {
    if (!one.technique.around || standing.length === 0) return one.drafts;
    if (one.technique.seals?.(one.element)) untopped = false;
    return one.technique.plan(one.element, { ...context, standing: [...standing] });
  };
  /** Powder that other art lies over has had a top of its own before that. */
  const isClosed = (one: Seated) =>
    isPowder(one.drafts) &&
    art
      .slice(art.indexOf(one) + 1)
      .some((later) => !isPowder(later.drafts) && meet(cover(one.drafts), cover(later.drafts)));
  const open =
    sealGuests.length > 0
      ? WHOLE
      : openAfterTop(art, lastTop, body, (one) => isClosed(one) || isFinished(one, product));
  // What is to be cured with a top about it, where none comes any more, has a light of its own.
  const lastSeal = open ? art.length : art.findLastIndex((one) => one.technique.seals?.(one.element));
  const litAlone = (one: Seated, drafts: readonly Draft[]) =>
    art.indexOf(one) > lastSeal && staysSoft(one, context) ? cured(drafts, context) : drafts;
  for (const one of art)
    lay(
      one,
      'surface',
      litAlone(one, plan(one)),
      guests.filter((guest) => hosts.get(guest) === one),
    );
  if (open) {
    if (open === WHOLE) untopped = false;
    append(line, withGuests(work('top', 'seal', sealDrafts(open, context, standing)), sealGuests, context));
    sealGuests.forEach(stand);
  }
  for (const one of painted.slice(art.length)) lay(one, 'seal', plan(one), []);
  if (lacquers > 0) append(line, inLacquer(surface.slice(painted.length), context, standing));
  for (const one of over) lay(one, 'over', cured(one.drafts, context), []);
  if (untopped) {
    const own = tops[tops.length - 1];
    // The underside has its top already.
    const drafts = own
      ? plan(own).filter(({ step }) => !step.endsWith('underside'))
      : sealDrafts(WHOLE, context, standing);
    append(line, again(work(own?.element.id ?? 'top', 'over', drafts), OVER_PASS));
  }
  return { line, intoBody };
}

/** What stands in gel that only the light of the top about it hardens: wet, or held by a flash. */
function staysSoft({ technique, drafts }: Seated, { product }: NailContext): boolean {
  return (
    technique.stands !== undefined &&
    drafts.some((draft) => draft.product && draft.deposit && lampOf(product(draft.product))) &&
    surfaceAfter(drafts, product).phase !== 'cured'
  );
}

/** Of that, what is still wet. */
function staysWet(one: Seated, context: NailContext): boolean {
  return staysSoft(one, context) && surfaceAfter(one.drafts, context.product).phase === 'wet';
}

/** What is cured with the top about it comes right before that top, or last of all: nothing else is done while it is wet. */
function wetLast(surface: readonly Seated[], context: NailContext): Seated[] {
  const line: Seated[] = [];
  const wet: Seated[] = [];
  for (const one of surface) {
    if (staysWet(one, context)) {
      wet.push(one);
      continue;
    }
    if (one.technique.seals?.(one.element)) append(line, wet.splice(0));
    line.push(one);
  }
  append(line, wet);
  return line;
}

/** The pass of the top over set stones; the seal of the whole nail is the first. */
const OVER_PASS = 91;

function again(placed: readonly Placed[], pass: number): Placed[] {
  return placed.map((one) => ({ ...one, draft: { ...one.draft, pass } }));
}

/** How many elements at the end of the surface are so: finishes of a part, or lacquer, which go on the seal. */
function trailing(surface: readonly Seated[], are: (one: Seated) => boolean): number {
  const last = surface.findLastIndex((one) => !are(one));
  return surface.length - 1 - last;
}

/** Lacquer comes on the sealed nail, with a top of its own over it. */
function inLacquer(
  lacquers: readonly Seated[],
  context: NailContext,
  standing: readonly Standing[],
): Placed[] {
  const role: NailContext['role'] = (one) => context.role(one === 'top' ? 'lacquer_top' : one);
  return [
    ...lacquers.flatMap((one) => own(one, 'seal', one.drafts)),
    ...again(work('top', 'seal', sealDrafts(partOf(lacquers), { ...context, role }, standing)), 2),
  ];
}

/** A part of the nail as an element of a look lays it. */
type Part = Pick<ReturnType<typeof gloss>, 'region' | 'fit' | 'hand'>;
const WHOLE: Part = { region: { kind: 'whole' }, fit: 'keep', hand: 'same' };

/** What the artist's own tops leave open: the whole nail, the part of the one element over them, or nothing. */
function openAfterTop(
  art: readonly Seated[],
  lastTop: number,
  body: NailClear,
  isClosed: (one: Seated) => boolean,
): Part | undefined {
  if (lastTop < 0 && !body.topped) return WHOLE;
  const over = art
    .slice(lastTop + 1)
    .filter((one) => !one.technique.around && !one.technique.stands && !isClosed(one));
  return over.length === 0 ? undefined : partOf(over);
}

/** Art gel cures slick, as its artist wants it: no gloss is laid over it on a nail that has its top. */
function isFinished({ drafts }: Seated, product: NailContext['product']): boolean {
  const { finish, phase } = surfaceAfter(drafts, product);
  return phase === 'cured' && (finish === 'slick' || finish === 'matte');
}

/** The part that one element lies on; the whole nail for several. */
function partOf(elements: readonly Seated[]): Part {
  const { element, drafts } = elements[0]!;
  const region = drafts[0]?.place.region;
  if (elements.length > 1 || !region || !('hand' in element) || !('fit' in element)) return WHOLE;
  return element.fit === 'repeat' ? WHOLE : { region, fit: element.fit, hand: element.hand };
}

/** What stands on the top is cured there: no later load goes over the whole nail. */
function cured(drafts: readonly Draft[], context: NailContext): Draft[] {
  const film = drafts.find((draft) => draft.product && draft.deposit && 't_um' in draft.deposit);
  if (!film?.product || !film.deposit || !('t_um' in film.deposit)) return [...drafts];
  const product = context.product(film.product);
  const flashed = drafts[drafts.length - 1]!.verb === 'flash';
  if (!flashed && !(lampOf(product) && surfaceAfter(drafts, context.product).phase === 'wet'))
    return [...drafts];
  return [...drafts, ...hardenOf(product, film.deposit.t_um, film.place)];
}

/** Every nail is sealed: a look that says nothing of its finish gets gloss. */
function sealDrafts(part: Part, context: NailContext, standing: readonly Standing[]): Draft[] {
  return finish.plan({ ...gloss('top'), ...part }, { ...context, standing });
}

/** A film with what is set into it while it is wet. */
function withGuests(host: readonly Placed[], guests: readonly Seated[], context: NailContext): Placed[] {
  if (guests.length === 0) return [...host];
  const at = wetFor(
    guests[0]!,
    host.map((placed) => placed.draft),
    context.product,
  );
  const after = at < 0 ? host.length : at + 1;
  return [
    ...host.slice(0, after),
    ...guests.flatMap((guest) => own(guest, 'over', guest.drafts)),
    ...host.slice(after),
  ];
}

/** The last of some work that is wet for a guest: the cap, not the bed below it. −1: none is. */
function wetFor(guest: Seated, drafts: readonly Draft[], product: NailContext['product']): number {
  const first = guest.drafts[0]!;
  const { refuses } = rowOf(first.verb);
  const laid = laidBy(first, product);
  return drafts.findLastIndex(
    (_, i) => refuses(surfaceAfter(drafts.slice(0, i + 1), product), laid) === undefined,
  );
}

function oilDraft(context: NailContext): Draft {
  const oil = context.role('oil');
  return {
    step: 'oil',
    verb: 'oil',
    words: `${oil.name} around the nail`,
    product: oil.id,
    place: wholePlace(),
    hand_s: HAND_S.oil,
    scope: 'set',
    reason: 'Oil comes last of all: under any layer it ruins adhesion.',
  };
}
