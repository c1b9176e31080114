import { FAMILIES } from './families';
import { laidBy, type Draft, type Seat } from './operation';
import type { Surface } from './surface';
import { rowOf } from './surfaces';
import type { NailContext } from './context';
import type { Technique } from './technique';
import { techniqueOf, type Element } from './techniques';
import type { Product } from '../model/product';

/** An element with the seat it has on this nail, and its operations as if nothing stood on the nail. */
export interface Seated {
  element: Element;
  technique: Technique<Element>;
  seat: Seat;
  /** Its place in the look's list. */
  listed: number;
  drafts: Draft[];
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
  let ridged = false;
  const drafts = elements.map((element) => {
    const technique = techniqueOf(element.kind);
    const planned = technique.plan(element, { ...context, standing: [], ridged });
    ridged ||= technique.ridges === true;
    return planned;
  });
  const asked = elements.map((element, i): Seat | 'listed' => {
    const technique = techniqueOf(element.kind);
    const wish =
      'seat' in element && element.seat !== 'usual' ? element.seat : technique.usual(element, context);
    // No clear holds over lacquer, and a finish is for what is seen of the build.
    const isArt = !technique.sheen && !isLacquer(drafts[i]!, context);
    if (listedSeat && wish === 'listed' && isArt) return listedSeat;
    // Where nothing is put on, what lies on the plate lies below the build.
    if (wish === 'plate' && !offered.includes('plate')) return 'under';
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
export const GROUND: Surface = {
  material: 'gel',
  phase: 'cured',
  finish: 'tacky',
  soil: 'clean',
  prep: 'none',
};

/** The surface after some operations begun on a good ground, cures taken at their word. */
export function surfaceAfter(drafts: readonly Draft[], product: (id: string) => Product): Surface {
  let at: SurfaceOf = { surface: GROUND };
  for (const draft of drafts) at = stepped(at, draft, product);
  return at.surface;
}

/** A surface, and the film that holds it. */
export interface SurfaceOf {
  surface: Surface;
  film?: Product | undefined;
}

/** The surface after one more operation, whether it holds or not; lights and rests are taken at their word. */
export function stepped(at: SurfaceOf, draft: Draft, product: (id: string) => Product): SurfaceOf {
  const film = draft.deposit && draft.product ? product(draft.product) : at.film;
  const surface = rowOf(draft.verb).leaves(at.surface, laidBy(draft, product));
  if (draft.verb === 'cure' || draft.verb === 'rest')
    return { surface: hardened(surface, film, 'cured'), film };
  if (draft.verb === 'flash' && surface.phase === 'wet')
    return { surface: hardened(surface, film, 'gelled'), film };
  return { surface, film };
}

/** A surface after its light: cured, it has the finish of the film that holds it. */
export function hardened(surface: Surface, film: Product | undefined, phase: 'gelled' | 'cured'): Surface {
  if (surface.phase === 'bare' || surface.phase === 'cured') return surface;
  const own = surface.material !== 'stone' && surface.material !== 'piece' && surface.material !== 'tip';
  const finish = own && phase === 'cured' && film ? FAMILIES[film.family].finish : surface.finish;
  return { ...surface, phase, finish };
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
