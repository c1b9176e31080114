import * as z from 'zod';
import type { Disc } from '../geometry/regions';
import { Id } from '../model/primitives';
import { Region } from '../model/region';
import type { Draft } from './operation';
import type { NailContext } from './context';
import type { Shown } from './surfaces';

/** What every element of a look has: where it lies and how it meets a smaller nail and the other hand. */
export const ELEMENT_BASE = {
  id: Id,
  region: Region,
  /** On a smaller nail: shrink, keep the size, place as many as fit, or leave it off. */
  fit: z.enum(['scale', 'keep', 'repeat', 'drop']),
  /** On the right hand: turned over, or the same. */
  hand: z.enum(['mirror', 'same']),
} as const;

/** One option as an editor shows it. `path` addresses the value inside the element. */
export type Field =
  | { kind: 'number'; path: string; words: string; unit?: string; min: number; max: number; step: number }
  | { kind: 'choice'; path: string; words: string; choices: { value: string | number; words: string }[] }
  | { kind: 'colour'; path: string; words: string }
  | { kind: 'product'; path: string; words: string; families: readonly string[] }
  | { kind: 'switch'; path: string; words: string }
  | { kind: 'region'; path: string; words: string }
  /** A part that may be missing (null); switched on it starts as `fresh` says. */
  | { kind: 'optional'; path: string; words: string; fresh: (products: FreshProducts) => unknown }
  | { kind: 'list'; path: string; words: string; item: Field[]; fresh: unknown; min: number; max: number };

/** A technique of the craft: its schema, its words, its editor fields and how it becomes operations. */
export interface Technique<E> {
  kind: string;
  words: string;
  /** What it is, in a sentence for someone who has read nothing. */
  blurb: string;
  schema: z.ZodType<E>;
  /** What it shows in the finished nail. */
  shows: Shown;
  fields: readonly Field[];
  /** A good first element, with products of the kit. */
  fresh: (id: string, products: FreshProducts) => E;
  /** The operations on one nail, in the order the technique itself asks for. Empty: left off this nail. */
  plan: (element: E, context: NailContext) => Draft[];
  /** What stands out of the nail, as discs with a brush's clearance, and whether it is set into the wet top. */
  stands?: (element: E, context: NailContext) => { discs: Disc[]; intoTop: boolean };
  /** Whether it tops the whole nail, so that no gloss needs to be added. */
  seals?: (element: E) => boolean;
  /** Products the element names. */
  products: (element: E) => string[];
}

export interface FreshProducts {
  colour: string;
  second: string;
  liner: string;
}

/** Keeps the exact schema, so that the element union can be made from the registry. */
export function defineTechnique<S extends z.ZodObject>(
  technique: Technique<z.infer<S>> & { schema: S },
): Technique<z.infer<S>> & { schema: S } {
  return technique;
}

export const FIT_FIELD: Field = {
  kind: 'choice',
  path: 'fit',
  words: 'On a smaller nail',
  choices: [
    { value: 'scale', words: 'Shrink to fit' },
    { value: 'keep', words: 'Keep the size' },
    { value: 'repeat', words: 'Place as many as fit' },
    { value: 'drop', words: 'Leave it off' },
  ],
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
