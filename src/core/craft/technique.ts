import * as z from 'zod/mini';
import type { Point } from '../geometry/frame';
import { Id } from '../model/primitives';
import { Region } from '../regions';
import { figure, type Figure } from '../model/limits';
import { smileFigures } from '../regions/bySmile';
import type { Product, ProductFamily, Role } from '../model/product';
import type { Supply } from '../model/supply';
import type { Copies } from './copies';
import type { Handle } from '../regions/handle';
import type { Paint } from './matter';
import type { Draft, Seat } from './operation';
import type { NailContext, placeOf, Standing } from './context';
import type { KeptMotif } from './keptMotif';
import type { Recalled } from './recalled';
import type { Was } from './was';
import type { Ways } from './ways';

/** What every element of a look has. The other parts stand only where a technique has a use for them. */
export const ELEMENT_BASE = { id: Id } as const;

/** How something painted meets a smaller nail and the other hand. */
export const PAINTED_BASE = {
  ...ELEMENT_BASE,
  fit: z.enum(['scale', 'keep', 'drop']),
  /** On the right hand: turned over, or the same. */
  hand: z.enum(['mirror', 'same']),
  /** Only on another element of the look, or only beside it. */
  within: z.optional(z.nullable(z.strictObject({ element: Id, outside: z.boolean() }))),
} as const;
export const FRESH_PAINTED = { fit: 'scale' as const, hand: 'mirror' as const };

export const REGION = { region: Region } as const;
export const FRESH_REGION = { region: { kind: 'whole' as const } };

/** Whether a film lies below the body, inside it, or on the finished build. */
export const FILM_SEAT = { seat: z.enum(['usual', 'plate', 'under', 'inside', 'surface']) } as const;
export const FRESH_SEAT = { seat: 'usual' as const };

/** A film on the whole nail or a region of it. */
export const FILM_BASE = { ...PAINTED_BASE, ...REGION, ...FILM_SEAT } as const;
export const FRESH_FILM = { ...FRESH_REGION, ...FRESH_PAINTED, ...FRESH_SEAT };

/** Films seat themselves by the list: below the body where something encapsulated is listed over them. */
export const FILM_SEATS = {
  seats: ['plate', 'under', 'inside', 'surface'] as readonly Seat[],
  usual: (): Seat | 'listed' => 'listed',
};

/** One option as an editor shows it. `path` addresses the value inside the element. */
export type Field = FieldKind & {
  /** Shown only where another option is one of these; elsewhere it has no use. */
  where?: { path: string; is: readonly (string | boolean)[] };
};

type FieldKind =
  /** `absent`: what it is where its option is missing. */
  | ({ kind: 'number'; absent?: number } & Figure)
  /** What the artist calls it, or nothing; `hint`: for instance so. */
  | { kind: 'words'; path: string; words: string; hint: string }
  /** A row of whole figures, such as a lamp's programmes. */
  | { kind: 'figures'; path: string; words: string; unit: string; min: number; max: number; most: number }
  | { kind: 'choice'; path: string; words: string; choices: { value: string | number; words: string }[] }
  | { kind: 'shade'; path: string; words: string }
  | { kind: 'product'; path: string; words: string; families: readonly string[] }
  | { kind: 'switch'; path: string; words: string }
  | { kind: 'region'; path: string; words: string }
  /** A picture on a sheet, or none (null). */
  | { kind: 'print'; path: string; words: string }
  /** Another element of the same look. */
  | { kind: 'element'; path: string; words: string }
  /** A part that may be missing (null); switched on it starts as `fresh` says. */
  | { kind: 'optional'; path: string; words: string; fresh: (pick: PickProduct) => unknown }
  | {
      kind: 'list';
      path: string;
      words: string;
      /** The name its items' handles begin with on the nail. */
      part?: string;
      item: Field[];
      fresh: unknown;
      min: number;
      max: number;
    };

/** A number of a schema as an editor shows it. */
export function numberField(schema: z.ZodMiniType, path: string, words: string): Field & { kind: 'number' } {
  return { kind: 'number', ...figure(schema, path, words) };
}

/** The figures of a smile line; `at` is where it stands in its element or build. */
export function smileFields(at = 'smile'): (Field & { kind: 'number' })[] {
  return smileFigures(at).map((one) => ({ kind: 'number', ...one }));
}

/** A way to lay all of an element at once, on the nail it is looked at on. */
export interface Arrangement<E> {
  key: string;
  words: string;
  says: string;
  /** Whether the look has what it goes round; always, where nothing is said. */
  fits?: (others: readonly Neighbour[]) => boolean;
  lay: (element: E, context: NailContext, others: readonly Neighbour[]) => E;
}

/** What others can be laid round: where it stands, as its look has it. */
export interface Body {
  across: number;
  along: number;
  width_mm: number;
  length_mm: number;
  turn_deg: number;
  fit: 'keep' | 'drop';
  hand: 'mirror' | 'same';
}

/** Another element of the same look, as far as an arrangement has to know it. */
export interface Neighbour {
  body?: Body;
}

/** Something that is offered under a name of its own. */
export interface Variant<E> {
  key: string;
  words: string;
  blurb: string;
  fresh: (id: string, pick: PickProduct) => E;
}

/** What an encapsulated element asks of the clear it shares with the nail's other inlays. */
export interface Inlaid {
  clear: Product;
  bed_um: number;
  cap: 'level' | 'float';
  cap_um: number;
  /** What the file takes off the cap; a floated top is not filed. */
  filing_um: number;
  /** It has a bed and cap of its own, in its part of the nail, and is bared by the file again. */
  island?: true;
  /** One half of the nail is laid and held before the other. */
  halves?: true;
}

/** A build in a product of the artist's own, instead of the kit's, and its colour by place. */
export interface Made {
  role: Role;
  product: Product;
  paint: Paint;
  /** What is said of it besides the product's name. */
  words?: string;
}

/** A technique of the craft: its schema, its words, its editor fields and how it becomes operations. */
export interface Technique<E> {
  kind: string;
  words: string;
  /** What an element of it is named among the others of its look, where that is not the technique's own name. */
  named?: (element: E) => string;
  /** What it is, in a sentence for someone who has read nothing. */
  blurb: string;
  schema: z.ZodMiniType<E>;
  /** How its elements were written before. */
  was?: Was;
  /** Dresses up other art: where time is short, a look can do without it. */
  extra?: true;
  /** What a look stands on, or is closed by: never its point. */
  ground?: true;
  /** What is seen of it is its gloss, and no colour. */
  sheen?: true;
  /** Where it may sit, and where it usually does; `listed`: where the look's list puts it. */
  seats: readonly Seat[];
  usual: (element: E, context: NailContext) => Seat | 'listed';
  fields: readonly Field[];
  /** A good first element, with products of the kit. */
  fresh: (id: string, pick: PickProduct) => E;
  /** The operations on one nail, in the order the technique itself asks for. */
  plan: (element: E, context: NailContext) => Draft[];
  /** What of it is made before the sitting's hand is taken up, in its own steps. */
  ahead?: (element: E, context: NailContext) => Draft[];
  /** What stands out of the nail, as discs with a brush's clearance. */
  stands?: (element: E, context: NailContext) => Standing[];
  /** It leaves raised lines, which what is rubbed over them is worked along. */
  ridges?: true;
  /** Its films are taken around what stands out of the nail. */
  around?: boolean;
  /** Whether it tops the whole nail, so that no gloss needs to be added. */
  seals?: (element: E) => boolean;
  /** For what sits inside: the bed, cap and filing it asks for; `plan` then gives only what is laid into them. */
  inlaid?: (element: E, context: NailContext) => Inlaid;
  /** Whether it goes into the wet bed of the pieces it is listed beside: what it lays there, and what follows once the bed holds. */
  joinsBed?: (element: E) => boolean;
  /** What of it is taken hold of on the nail itself. */
  handles?: (element: E, context: NailContext) => Handle<E>[];
  /** What of it is copied, pasted and taken out by its handles. */
  copies?: Copies;
  arrangements?: readonly Arrangement<E>[];
  /** What it is to other elements that go round it. */
  goneRound?: (element: E) => Body;
  /** How it grants what a judgement wishes of it. */
  ways?: Ways<E>;
  /** What is a thing of its own to an artist, and is laid in this way. */
  also?: readonly Variant<E>[];
  /** Ways to lay it by a line that is drawn on the nail, in mm. */
  drawn?: readonly {
    words: string;
    says: string;
    lay: (element: E, context: NailContext, line: readonly Point[]) => E;
  }[];
  /** The part of the nail that others may be kept on, or off. */
  part?: (element: E) => Parameters<typeof placeOf>[1];
  /** What the nail's build is made of, where it says so: then it lays nothing of its own. */
  builds?: (element: E, context: NailContext) => Made;
  /** What of the shelf it can be laid with, and the element with that taken up. */
  fromShelf?: {
    kind: Supply['kind'];
    fits?: (supply: Supply) => boolean;
    take: (element: E, supply: Supply) => E;
  };
  /** What of it can be kept in the artist's own library, and be taken from there again. */
  library?: {
    keep: (element: E, id: string, name: string, product: (id: string) => Product) => KeptMotif;
    /** An element as it is, with what was kept in the place of its own drawing. */
    take: (kept: KeptMotif, element: E) => E;
    /** Which one of the library it was taken from. */
    taken: (element: E) => string | undefined;
  };
  /** What of it is asked for at the table, since nobody remembers it. */
  recalled?: Recalled<E>;
  /** Whether it is metal in itself, and looks otherwise as the light moves. */
  glints?: (element: E) => boolean;
  /** Products the element names. */
  products: (element: E) => string[];
  /** What it is called in the name of a look: "ivory tip", "five crystals". */
  called: (element: E, nameOf: (product: string) => string) => string;
}

/** What a new element or option wants of the kit: a product of one of some families, best first. */
export interface Wanted {
  families: readonly ProductFamily[];
  /** Of a colour that shows on what its look has already. */
  shows?: true;
  /** Another than this one, where there is one. */
  beside?: string;
  /** With a colour of its own. */
  coloured?: true;
}

/** Picks such a product; its id. */
export type PickProduct = (wanted: Wanted) => string;

/** Two gel colours for what is of two: the first at hand, and another that shows on the look. */
export function twoColours(pick: PickProduct): [string, string] {
  const first = pick({ families: ['gel-colour'] });
  return [first, pick({ families: ['gel-colour'], shows: true, beside: first })];
}

/** Keeps the exact schema, so that the element union can be made from the registry. */
export function defineTechnique<S extends z.ZodMiniObject>(
  technique: Technique<z.infer<S>> & { schema: S },
): Technique<z.infer<S>> & { schema: S } {
  return technique;
}

const FIT_WORDS = {
  scale: 'Shrink to fit',
  keep: 'Keep the size',
  repeat: 'Place as many as fit',
  drop: 'Leave it off',
} as const;

/** How an element meets a smaller nail, with the ways its technique has. */
export function fitField(...ways: (keyof typeof FIT_WORDS)[]): Field {
  return {
    kind: 'choice',
    path: 'fit',
    words: 'On a smaller nail',
    choices: ways.map((value) => ({ value, words: FIT_WORDS[value] })),
  };
}

const SEAT_WORDS = {
  usual: 'By the list',
  plate: 'On the plate, before form or tip',
  under: 'Below the build',
  inside: 'Inside the clear',
  surface: 'On the finished build',
  over: 'On the top',
} as const;

export function seatField(...seats: (keyof typeof SEAT_WORDS)[]): Field {
  return {
    kind: 'choice',
    path: 'seat',
    words: 'Sits',
    choices: seats.map((value) => ({ value, words: SEAT_WORDS[value] })),
  };
}

export const TACK_FIELD: Field = {
  kind: 'switch',
  path: 'tack',
  words: 'On a thin base of its own',
};

export const REGION_FIELD: Field = { kind: 'region', path: 'region', words: 'Where' };

export const HAND_FIELD: Field = {
  kind: 'choice',
  path: 'hand',
  words: 'On the right hand',
  choices: [
    { value: 'mirror', words: 'Turned over' },
    { value: 'same', words: 'The same' },
  ],
};

/** What keeps it on another element, or off it. */
export const WITHIN_FIELDS: readonly Field[] = [{ kind: 'element', path: 'within', words: 'Only on' }];

/** The fields every film has besides its colours. */
export const FILM_FIELDS: readonly Field[] = [
  REGION_FIELD,
  ...WITHIN_FIELDS,
  fitField('scale', 'keep', 'drop'),
  HAND_FIELD,
  seatField('usual', 'plate', 'under', 'inside', 'surface'),
];
