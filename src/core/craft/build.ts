import * as z from 'zod/mini';
import type { Plate } from '../model/nail';
import type { Product, Role } from '../model/product';
import { Id, Words } from '../model/primitives';
import { SHAPES } from '../model/shapes';
import type { Draft, Place, Seat } from './operation';
import type { NailContext } from './context';
import type { Field } from './technique';
import type { Was } from './was';

export const BUILD_BASE = {
  id: Id,
  name: Words,
  shape: z.enum(SHAPES),
} as const;

/** The stages a build fills; what it lacks is empty. The body comes from what is encapsulated in it. */
export type BuildStages = Partial<Record<'ahead' | 'arrive' | 'prepare' | 'foundation', Draft[]>>;

/** What a build lays over the whole nail as its own material; art inside it is capped by it. */
export interface Structure {
  product: Product;
  /** Thickness at the apex. */
  apex_um: number;
  /** The work of laying it so thick, until it is hard. */
  lay: (t_um: number, over?: string) => Draft[];
  /** Where it lies, if not all over: it is filed there, and nowhere else. */
  place?: Place;
  /** What the file does once it is hard, where it does more than level it. */
  fileWords?: string;
}

/** What is laid anew on a nail that has grown out. */
export interface Refill {
  foundation: Draft[];
  structure?: Structure;
  /** What only holds on a primed plate has it whatever the practice. */
  primer?: 'always';
}

/** How long a build is worn before its wearer comes again. */
export interface Worn {
  from_days: number;
  to_days: number;
  /** What is done then: "an infill". */
  then: string;
}
export const WORN: Worn = { from_days: 14, to_days: 28, then: 'an infill' };

/** What the art sits on: schema, words, the free edge it gives, the seats it offers, and its stages. */
export interface BuildKind<B> {
  kind: string;
  words: string;
  blurb: string;
  schema: z.ZodMiniType<B>;
  /** How such builds were written before. */
  was?: Was;
  fields: readonly Field[];
  fresh: (id: string) => B;
  /** Length past the free edge, in mm. */
  free_mm: (build: B, plate: Plate) => number;
  /**
   * What carries the nail past the bed: the wearer's own plate, a ready tip, what is built on a form, or the plate and then
   * what is built from it.
   */
  edge: 'plate' | 'tip' | 'form' | 'lengthened';
  /** Made ahead, with nobody's hand at the table: no skin is met and no oil follows. */
  offHand?: boolean;
  /** How long it is worn well before something is due, and what (common practice: an infill after two to four weeks). */
  worn?: Worn;
  seats: readonly Seat[];
  /** Products of the kit that do on this build what others do elsewhere. */
  roles?: Partial<Record<Role, Role>>;
  stages: (build: B, context: NailContext) => BuildStages;
  structure?: (build: B, context: NailContext) => Structure | undefined;
  /**
   * Where it has the films of a look that name no seat: inside the tip, with the pieces, before it is fixed; or under
   * its clear. Otherwise the list says.
   */
  films?: (build: B) => 'tip' | 'under' | undefined;
  /** Pieces inside a tip are laid and flashed one half after the other. */
  halves?: (build: B) => boolean;
  /** How it fills what has grown out, where a base and builder over it would not do. */
  refill?: (build: B, context: NailContext) => Refill | undefined;
}

/** Where the free edge comes from: the wearer's own, a ready tip, or what is built on a form. */
export type Edge = BuildKind<unknown>['edge'];

/** What is left of the plate's own free edge under a tip or a form, in mm (common practice): carried on from, all of it. */
export function leftOfPlate_mm(edge: Edge, { free_edge_mm }: Pick<Plate, 'free_edge_mm'>): number {
  return edge === 'lengthened' ? free_edge_mm : Math.min(free_edge_mm, 0.5);
}

/** Keeps the exact schema, so that the build union can be made from the registry. */
export function defineBuild<S extends z.ZodMiniObject>(
  build: BuildKind<z.infer<S>> & { schema: S },
): BuildKind<z.infer<S>> & { schema: S } {
  return build;
}
