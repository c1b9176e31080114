import type { Edge } from '../craft/build';
import type { NailContext } from '../craft/context';
import { hardenFilm, preparations, type Preparation } from '../craft/preparations';
import { laidBy, type Draft, type Place } from '../craft/operation';
import type { FoundOn } from '../craft/start';
import { surfaceWords, type Surface } from '../craft/surface';
import { rowOf, wantsFor } from '../craft/surfaces';
import { append } from '../model/extent';
import { afterAll, groundOf, insideOfTip, refusal, type Ground } from './ground';
import type { Placed } from './placed';

/**
 * The order as it is listed, with what makes each piece of work hold where it does not by itself: walked from the plate
 * up, on the surfaces that are really there. Where nothing known makes it hold it stays as it is, and the simulation says
 * so.
 */
export function madeToHold(
  line: readonly Placed[],
  context: NailContext,
  edge: Edge,
  found: FoundOn,
): Placed[] {
  const work = line.map(({ draft }) => draft);
  const nail = groundOf(context, edge, found, work);
  let tip: Ground | undefined;
  const counts = new Map<string, number>();
  const done: Placed[] = [];
  for (const placed of line) {
    const ground = placed.draft.in_tip ? (tip ??= insideOfTip(context, work)) : nail;
    const before = missing(placed.draft, ground, context).map((draft): Placed => {
      const key = `${placed.element} ${draft.step}`;
      const pass = (counts.get(key) ?? 0) + 1;
      counts.set(key, pass);
      const { stage, element } = placed;
      return { element, stage, draft: { ...draft, pass, ...(placed.draft.in_tip ? { in_tip: true } : {}) } };
    });
    for (const { draft } of before) ground.goOn(draft);
    append(done, before);
    ground.goOn(placed.draft);
    done.push(placed);
  }
  return done;
}

/** What has to be done first, so that it holds; nothing where it does, or where nothing known helps. */
function missing(draft: Draft, ground: Ground, context: NailContext): Draft[] {
  // What is held follows at once on what it is held after.
  if (draft.held || !(draft.deposit || rowOf(draft.verb).dusty)) return [];
  const zones = ground.zonesUnder(draft);
  if (!ground.isRefused(draft, zones)) return [];
  const surfaces = ground.surfaces(zones);
  const refusing = surfaces.filter((one) => refusal(draft, one, context.product) !== undefined);
  const place = placeFor(draft, zones, ground, refusing);
  const reason = `${upTo(draft)} wants ${wantsFor(draft.verb, laidBy(draft, context.product))}; here lies ${surfaceWords(refusing[0]!)}.`;
  const own = preparations(context);
  const soft = [...new Set(zones.flatMap((zone) => ground.softAt(zone) ?? []))];
  const ways = [
    ...own,
    ...soft.flatMap((film) => {
      const harden = hardenFilm(film);
      return [harden, ...own.map((way) => inTurn(harden, way))];
    }),
  ];
  const helps = (way: Preparation, surface: Surface) => holdsAfter(way, draft, surface, place, context);
  // What nothing helps, as stones in the way, is left to be told; the rest of the ground is made ready all the same.
  const mendable = surfaces.filter((surface) => ways.some((way) => helps(way, surface)));
  if (!refusing.some((surface) => mendable.includes(surface))) return [];
  const passes = (way: Preparation, surface: Surface) =>
    afterAll(way.drafts(place, ''), surface, context.product, way.hardens) !== undefined;
  const way = ways.find((one) =>
    surfaces.every((surface) => (mendable.includes(surface) ? helps : passes)(one, surface)),
  );
  return way?.drafts(place, reason) ?? [];
}

function inTurn(first: Preparation, then: Preparation): Preparation {
  return {
    ...first,
    spoils: (surface) => first.spoils?.(surface) === true || then.spoils?.(surface) === true,
    drafts: (place, reason) => [...first.drafts(place, reason), ...then.drafts(place, reason)],
  };
}

function holdsAfter(
  way: Preparation,
  draft: Draft,
  surface: Surface,
  place: Place,
  { product }: NailContext,
): boolean {
  if (way.spoils?.(surface)) return false;
  const after = afterAll(way.drafts(place, ''), surface, product, way.hardens);
  return after !== undefined && refusal(draft, after, product) === undefined;
}

/** "Gilt liner wants …": what it is called, without how often or how. */
function upTo({ words }: Draft): string {
  return words.split(/[,:]/)[0]!;
}

/** A part that was laid whole is prepared whole: a patch of it would be seen. */
function placeFor(
  draft: Draft,
  zones: readonly number[],
  ground: Ground,
  refusing: readonly Surface[],
): Place {
  const below = new Set(zones.map((zone) => ground.topAt(zone)));
  const [only] = below;
  const powdered = refusing.some((one) => one.finish === 'powdered');
  return powdered && below.size === 1 && only ? only.place : draft.place;
}
