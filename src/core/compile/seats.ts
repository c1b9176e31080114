import { FAMILIES } from '../craft/families';
import { laidBy, type Draft, type Seat } from '../craft/operation';
import type { Surface } from '../craft/surface';
import { rowOf } from '../craft/surfaces';
import type { NailContext } from '../craft/context';
import type { Technique } from '../craft/technique';
import { techniqueOf, type Element } from '../craft/techniques';
import type { Product } from '../model/product';
import type { CoveredCells } from './lattice';
import { meet } from './lattice';
import { append } from '../model/extent';

/** An element with the seat it has on this nail, and its operations as if nothing stood on the nail. */
export interface Seated {
  element: Element;
  technique: Technique<Element>;
  seat: Seat;
  /** Its place in the look's list. */
  listed: number;
  drafts: Draft[];
  /** Why it does not stand where the look lists it. */
  moved?: string;
}

/**
 * The seat of every element. Films seat themselves by the list: below the body where something encapsulated is
 * listed over them, inside where one is listed under them as well, else on the finished build. `listedSeat`: where
 * the build has its films, whatever else is listed.
 */
export function seatElements(
  elements: readonly Element[],
  context: NailContext,
  offered: readonly Seat[],
  listedSeat?: Seat,
): Seated[] {
  const drafts = elements.map((element) =>
    techniqueOf(element.kind).plan(element, { ...context, standing: [] }),
  );
  const asked = elements.map((element, i): Seat | 'listed' => {
    const technique = techniqueOf(element.kind);
    const wish =
      'seat' in element && element.seat !== 'usual' ? element.seat : technique.usual(element, context);
    // No clear holds over lacquer.
    if (listedSeat && wish === 'listed' && !isLacquer(drafts[i]!, context)) return listedSeat;
    return wish === 'listed' || offered.includes(wish) ? wish : 'surface';
  });
  const first = asked.indexOf('inside');
  const last = asked.lastIndexOf('inside');
  return elements.map((element, listed) => {
    const technique = techniqueOf(element.kind);
    const wish = asked[listed]!;
    const byList = listed > last ? 'surface' : listed < first ? 'under' : 'inside';
    return {
      element,
      technique,
      seat: wish === 'listed' ? byList : wish,
      listed,
      drafts: drafts[listed]!,
    };
  });
}

/** Air-dry films on a nail that is sealed with gel: no gel holds on them. */
export function isLacquer(drafts: readonly Draft[], { product, role }: NailContext): boolean {
  return role('top').family !== 'lacquer-top' && drafts.some((one) => laidBy(one, product) === 'lacquer');
}

/** A good ground for any art: cured gel with its sticky layer. */
const GROUND: Surface = { material: 'gel', phase: 'cured', finish: 'tacky', soil: 'clean', prep: 'none' };

/** The surface after some operations begun on a good ground, cures taken at their word. */
export function surfaceAfter(drafts: readonly Draft[], product: (id: string) => Product): Surface {
  let surface = GROUND;
  let film: Product | undefined;
  for (const draft of drafts) {
    surface = rowOf(draft.verb).leaves(surface, laidBy(draft, product));
    if (draft.deposit && draft.product) film = product(draft.product);
    if (draft.verb === 'cure' || draft.verb === 'rest') surface = hardened(surface, film, 'cured');
    if (draft.verb === 'flash' && surface.phase === 'wet') surface = hardened(surface, film, 'gelled');
  }
  return surface;
}

/** A surface after its light: cured, it has the finish of the film that holds it. */
export function hardened(surface: Surface, film: Product | undefined, phase: 'gelled' | 'cured'): Surface {
  if (surface.phase === 'bare' || surface.phase === 'cured') return surface;
  const own = surface.material !== 'stone' && surface.material !== 'piece' && surface.material !== 'tip';
  const finish = own && phase === 'cured' && film ? FAMILIES[film.family].finish : surface.finish;
  return { ...surface, phase, finish };
}

/** Powder is closed by a top before anything else comes over it. */
function closed(surface: Surface): Surface {
  return surface.finish === 'powdered' && surface.phase === 'cured'
    ? { ...surface, finish: 'slick', soil: 'clean' }
    : surface;
}

/** Burnished powder: nothing but a top holds on it. */
export function isPowder(drafts: readonly Draft[]): boolean {
  return drafts.some(({ verb }) => rowOf(verb).powders);
}

/** Whether it can only be set into a wet film of another element. */
export function wantsHost(drafts: readonly Draft[], product: (id: string) => Product): boolean {
  const first = drafts[0];
  return first !== undefined && rowOf(first.verb).refuses(GROUND, laidBy(first, product)) === 'needs-wet';
}

/**
 * The order inside a seat: as the look lists it. Where two overlap and the listed order cannot be done while
 * the reverse can, the reverse, with the reason.
 */
export function inSeatOrder(
  seated: readonly Seated[],
  cover: (drafts: readonly Draft[]) => CoveredCells,
  product: (id: string) => Product,
): Seated[] {
  const facts = new Map(
    seated.map((one) => [
      one.listed,
      { leaves: closed(surfaceAfter(one.drafts, product)), hosted: wantsHost(one.drafts, product) },
    ]),
  );
  const canFollow = (below: Seated, above: Seated): boolean => {
    const first = above.drafts[0];
    // What is set into a wet film finds its host later; a film taken around stones never runs over them.
    if (!first || facts.get(above.listed)!.hosted) return true;
    const { leaves } = facts.get(below.listed)!;
    if (above.technique.around && leaves.material === 'stone') return true;
    return rowOf(first.verb).refuses(leaves, laidBy(first, product)) === undefined;
  };
  const met = new Map<number, boolean>();
  const overlap = (a: Seated, b: Seated): boolean => {
    const key = Math.min(a.listed, b.listed) * 1000 + Math.max(a.listed, b.listed);
    let known = met.get(key);
    if (known === undefined) met.set(key, (known = meet(cover(a.drafts), cover(b.drafts))));
    return known;
  };
  /** Whether an element holds on what lies below it so far: the last one it meets, or the ground. */
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
    const moved = { ...one, moved: movedWords(one, order[at]!) };
    // What cannot lie over it either, as colour over stones, goes below it.
    const blocked = (later: Seated) => overlap(later, one) && !canFollow(one, later);
    const rest = order.splice(at);
    const below = rest.filter(blocked).map((later) => ({ ...later, moved: belowWords(later, one) }));
    append(order, [...below, moved, ...rest.filter((later) => !blocked(later))]);
  }
  return order;
}

const words = (seated: Seated) => `${seated.technique.words.toLowerCase()} “${seated.element.id}”`;

function movedWords(one: Seated, before: Seated): string {
  return `The list has the ${words(one)} over the ${words(before)}, but it does not hold there; the other way round both hold.`;
}

function belowWords(one: Seated, above: Seated): string {
  return `The ${words(one)} goes below the ${words(above)}, which it cannot be laid over.`;
}
