import { buildKindOf } from '../craft/builds';
import type { NailContext } from '../craft/context';
import { coverer, meet } from '../craft/lattice';
import { laidBy } from '../craft/operation';
import { GROUND, seatElements, surfaceAfter, wantsHost, type Seated } from '../craft/seats';
import { startKindOf } from '../craft/starts';
import type { Surface } from '../craft/surface';
import { rowOf } from '../craft/surfaces';
import { append } from '../model/extent';
import { NAILS } from '../model/names';
import { buildOf, contextOf, wornElements } from './nailContext';
import type { Look, SetDocument } from './document';

/**
 * Up to version 19 the order inside a seat was derived: an element that was not thought to hold where it was listed went
 * below what did. Since version 20 the list is the order, so that order is written into the list: an old file keeps the nail
 * it had. Kept as it was; nothing else uses it.
 */
export function listedAsLaid(set: SetDocument): SetDocument {
  return { ...set, looks: set.looks.map((look) => guarded(set, look)) };
}

/** A list that cannot be planned, of whatever products, stays as it is written. */
function guarded(set: SetDocument, look: Look): Look {
  try {
    return relisted(set, look);
  } catch {
    return look;
  }
}

/** By the first nail that wears it: a list is one for all its nails. */
function relisted(set: SetDocument, look: Look): Look {
  if (look.elements.length < 2) return look;
  const name = NAILS.find((one) => set.nails[one].look === look.id && set.nails[one].in_work);
  if (!name) return look;
  const context = contextOf(set, name);
  const build = buildOf(set, context.nail);
  const kind = buildKindOf(build.kind);
  const keeps = startKindOf(kind.offHand ? 'bare' : context.nail.start.kind).keeps !== undefined;
  const sit = keeps ? undefined : kind.films?.(build);
  const worn = wornElements(set, { ...context.nail, changes: [] });
  const seated = seatElements(worn, context, kind.seats, sit && (sit === 'tip' ? 'inside' : sit));
  // A finish always lay on the finished build.
  const seatOf = (one: Seated) => (one.technique.sheen ? 'surface' : one.seat);
  const laidIn = (seat: Seated['seat']) => {
    const own = seated.filter((one) => seatOf(one) === seat);
    // Inside a tip it is laid from its top to its ground.
    const tip = sit === 'tip' && seat !== 'surface';
    const laid = inSeatOrder(tip ? own.toReversed() : own, context);
    return tip ? laid.toReversed() : laid;
  };
  const surface = laidIn('surface');
  // What stands on the top keeps its place among what lies on the build.
  const upper = seated.flatMap((one) =>
    seatOf(one) === 'surface' ? surface.shift()! : seatOf(one) === 'over' ? one : [],
  );
  const order = [...laidIn('under'), ...laidIn('inside'), ...upper];
  return { ...look, elements: order.map((one) => look.elements[one.listed]!) };
}

/** Powder was closed by a top before anything else came over it. */
function closed(surface: Surface): Surface {
  return surface.finish === 'powdered' && surface.phase === 'cured'
    ? { ...surface, finish: 'slick', soil: 'clean' }
    : surface;
}

function inSeatOrder(seated: readonly Seated[], { frame, product }: NailContext): Seated[] {
  const cover = coverer(frame);
  const facts = new Map(
    seated.map((one) => [
      one.listed,
      { leaves: closed(surfaceAfter(one.drafts, product)), hosted: wantsHost(one.drafts, product) },
    ]),
  );
  const canFollow = (below: Seated, above: Seated): boolean => {
    const first = above.drafts[0];
    if (!first || facts.get(above.listed)!.hosted) return true;
    const { leaves } = facts.get(below.listed)!;
    if (above.technique.around && leaves.material === 'stone') return true;
    return rowOf(first.verb).refuses(leaves, laidBy(first, product)) === undefined;
  };
  const overlap = (a: Seated, b: Seated): boolean => meet(cover(a.drafts), cover(b.drafts));
  const holds = (one: Seated, at: number): boolean => {
    const first = one.drafts[0];
    if (!first || facts.get(one.listed)!.hosted) return true;
    for (let i = at - 1; i >= 0; i -= 1) if (overlap(order[i]!, one)) return canFollow(order[i]!, one);
    return rowOf(first.verb).refuses(GROUND, laidBy(first, product)) === undefined;
  };
  const order: Seated[] = [];
  for (const one of seated) {
    const at = order.findIndex(
      (below, i) =>
        canFollow(one, below) && (!canFollow(below, one) || !holds(below, i)) && overlap(below, one),
    );
    if (at < 0) {
      order.push(one);
      continue;
    }
    const blocked = (later: Seated) => overlap(later, one) && !canFollow(one, later);
    const rest = order.splice(at);
    append(order, [...rest.filter(blocked), one, ...rest.filter((later) => !blocked(later))]);
  }
  return order;
}
