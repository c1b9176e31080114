import { leftOfPlate_mm, type Edge } from '../craft/build';
import { coatOf } from '../craft/cure';
import { FAMILIES, settingOf } from '../craft/families';
import { laidBy, type Draft, type Place } from '../craft/operation';
import type { FoundOn } from '../craft/start';
import { decode, encode, type Surface } from '../craft/surface';
import { lookup, REASONS, rowOf, type Reason } from '../craft/surfaces';
import type { NailContext } from '../craft/context';
import type { Product } from '../model/product';
import { coverer, latticeOf, pointsOf } from '../craft/lattice';

/**
 * The surfaces of one nail while its order is worked out: what the table of surfaces says of each point of a lattice after
 * every operation so far, with what has set, dried, been cured or wiped since. Every light is taken at its word.
 */
export interface Ground {
  /** Lattice points an operation meets, on the nail as long as it is by now. */
  points: (draft: Draft) => readonly number[];
  /** The surfaces at some points, each once. */
  surfaces: (points: readonly number[]) => Surface[];
  /** Goes on to the surfaces that an operation leaves. */
  goOn: (draft: Draft) => void;
  /** What was laid last at a point: its draft; undefined on what was found there. */
  topAt: (point: number) => Draft | undefined;
  /** The film at a point that has yet to harden. */
  softAt: (point: number) => SoftFilm | undefined;
}

/** A film that has yet to harden, by itself or under a lamp. */
export interface SoftFilm {
  product: Product;
  t_um: number;
  place: Place;
}

const BARE: Surface = { material: 'plate', phase: 'bare', finish: 'shine', soil: 'clean', prep: 'none' };
const FORM = encode({ ...BARE, material: 'form' });
const OLD = encode({ ...BARE, material: 'old', phase: 'cured' });
const TIP = encode({ ...BARE, material: 'tip', phase: 'cured' });

/** The nail as it is found, before any work. */
export function groundOf(context: NailContext, edge: Edge, found: FoundOn): Ground {
  const { frame, nail } = context;
  const lattice = latticeOf(frame);
  const plateEnds_mm = edge === 'plate' ? frame.length_mm : frame.bed_mm + leftOfPlate_mm(edge, nail.plate);
  const bare = encode(found.dull ? { ...BARE, finish: 'keyed' } : BARE);
  const { old } = found;
  const codes = Uint16Array.from(lattice, (at) =>
    at && old && at.y >= old.from_mm && (old.stays || at.y <= plateEnds_mm) ? OLD : bare,
  );
  const onPlate = lattice.map((at) => at !== undefined && at.y <= plateEnds_mm);
  return walked(context, lattice, onPlate, codes, edge === 'plate' || old?.stays === true);
}

/** The inside of a ready tip that nobody wears yet. */
export function insideOfTip(context: NailContext): Ground {
  const lattice = latticeOf(context.frame);
  return walked(
    context,
    lattice,
    lattice.map((at) => at !== undefined),
    new Uint16Array(lattice.length).fill(TIP),
    true,
  );
}

interface Soft extends SoftFilm {
  /** Seconds since it was first touched. */
  age_s: number;
}

function walked(
  { frame, product }: NailContext,
  lattice: ReturnType<typeof latticeOf>,
  onPlate: readonly boolean[],
  codes: Uint16Array,
  wholeLength: boolean,
): Ground {
  const cover = coverer(frame);
  const top: (Draft | undefined)[] = codes.length > 0 ? Array.from(codes, () => undefined) : [];
  const film: (Soft | undefined)[] = Array.from(codes, () => undefined);
  let lengthened = wholeLength;
  let setting: Soft[] = [];

  const points = (draft: Draft): readonly number[] => {
    // A tip is fixed where the plate is; past it, it stands free.
    const { lengthens } = rowOf(draft.verb);
    const long = lengthened || lengthens === 'form' || lengthens === 'stand';
    return pointsOf(cover([draft])).filter((n) => lattice[n] !== undefined && (long || onPlate[n]!));
  };
  const harden = (is: (soft: Soft) => boolean, phase: 'gelled' | 'cured') => {
    for (let n = 0; n < codes.length; n += 1) {
      const soft = film[n];
      if (soft && is(soft)) codes[n] = encode(hardened(decode(codes[n]!), soft.product, phase));
    }
  };
  const pass = (seconds: number) => {
    for (const soft of setting) {
      const { working_s, dry_s } = settingOf(soft.product)!;
      soft.age_s += seconds;
      if (soft.age_s >= dry_s) harden((one) => one === soft, 'cured');
      else if (soft.age_s >= working_s) harden((one) => one === soft, 'gelled');
    }
    setting = setting.filter((soft) => soft.age_s < settingOf(soft.product)!.dry_s);
  };

  return {
    points,
    surfaces: (some) => [...new Set(some.map((n) => codes[n]!))].map(decode),
    topAt: (n) => top[n],
    softAt: (n) => {
      const { phase } = decode(codes[n]!);
      return phase === 'wet' || phase === 'gelled' ? film[n] : undefined;
    },
    goOn: (draft) => {
      const { lengthens } = rowOf(draft.verb);
      if (lengthens === 'form')
        lattice.forEach((at, n) => {
          if (at && !onPlate[n]) codes[n] = FORM;
        });
      const { leaves } = lookup(draft.verb, laidBy(draft, product));
      const made = draft.product ? product(draft.product) : undefined;
      if (lengthens === 'tip') for (let n = 0; n < codes.length; n += 1) if (!onPlate[n]) codes[n] = TIP;
      const here = points(draft);
      const isFilm = draft.deposit && made && FAMILIES[made.family].hardens !== 'never';
      const soft = isFilm ? { product: made, t_um: thickness_um(draft, made), place: draft.place, age_s: 0 } : undefined;
      if (soft && settingOf(soft.product)) setting.push(soft);
      for (const n of here) {
        codes[n] = leaves[codes[n]!]!;
        if (draft.deposit) top[n] = draft;
        if (soft) film[n] = soft;
      }
      if (lengthens) lengthened = true;
      if (draft.verb === 'activate')
        for (const n of here) {
          const soft = film[n];
          if (soft && FAMILIES[soft.product.family].hardens === 'activator')
            codes[n] = encode(hardened(decode(codes[n]!), soft.product, 'cured'));
        }
      if (draft.lamp)
        harden(
          ({ product: one }) => FAMILIES[one.family].hardens === 'lamp',
          draft.lamp.mode === 'cure' ? 'cured' : 'gelled',
        );
      pass(draft.hand_s + (draft.wait_s ?? 0) + (draft.lamp?.seconds ?? 0));
    },
  };
}

function thickness_um({ deposit }: Draft, product: Product): number {
  return deposit && 't_um' in deposit ? deposit.t_um : coatOf(product);
}

/** The surface after some operations on one point, lights taken at their word; undefined where one of them does not hold. */
export function afterAll(
  drafts: readonly Draft[],
  from: Surface,
  product: NailContext['product'],
  soft?: Product,
): Surface | undefined {
  let surface = from;
  let film = soft;
  for (const draft of drafts) {
    if (refusal(draft, surface, product)) return undefined;
    surface = rowOf(draft.verb).leaves(surface, laidBy(draft, product));
    if (draft.deposit && draft.product) film = product(draft.product);
    if (film && (draft.verb === 'cure' || draft.verb === 'rest')) surface = hardened(surface, film, 'cured');
  }
  return surface;
}

/** A surface once the film that holds it has gelled, or is hard: then it has that film's finish. */
function hardened(surface: Surface, film: Product, phase: 'gelled' | 'cured'): Surface {
  if (surface.phase === 'bare' || surface.phase === 'cured' || surface.phase === phase) return surface;
  const own = surface.material !== 'stone' && surface.material !== 'piece' && surface.material !== 'tip';
  const finish = own && phase === 'cured' ? FAMILIES[film.family].finish : surface.finish;
  return { ...surface, phase, finish };
}

/** Why an operation does not hold on a surface; undefined where it does. */
export function refusal(draft: Draft, surface: Surface, product: NailContext['product']): Reason | undefined {
  const at = lookup(draft.verb, laidBy(draft, product)).refuses[encode(surface)]!;
  return at === 0 ? undefined : REASONS[at - 1];
}
