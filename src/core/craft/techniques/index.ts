import type * as z from 'zod/mini';
import { unionOf } from '../../model/registry';
import type { Technique } from '../technique';
import { built } from './built';
import { charm } from './charm';
import { colour } from './colour';
import { crystals } from './crystals';
import { fade } from './fade';
import { finish } from './finish';
import { flakes } from './flakes';
import { french } from './french';
import { glitter } from './glitter';
import { halfMixed } from './halfMixed';
import { inlay } from './inlay';
import { looseStones } from './looseStones';
import { magnetic } from './magnetic';
import { marbled } from './marbled';
import { motif } from './motif';
import { ombre } from './ombre';
import { pearl } from './pearl';
import { poured } from './poured';
import { powder } from './powder';
import { relief } from './relief';
import { sheets } from './sheets';
import { wash } from './wash';

/** Every technique the program knows: one file and one line each. */
const ALL = [
  colour,
  built,
  halfMixed,
  ombre,
  fade,
  wash,
  marbled,
  poured,
  french,
  motif,
  magnetic,
  powder,
  pearl,
  flakes,
  glitter,
  sheets,
  inlay,
  crystals,
  looseStones,
  charm,
  relief,
  finish,
] as const;

/** One element of a look; which options it has follows from its `kind`. */
export const Element = unionOf(ALL);
export type Element = z.infer<typeof Element>;

/** The registry is used through the common shape: an element only ever meets its own technique. */
export const TECHNIQUES = ALL as unknown as readonly Technique<Element>[];

/** What a new look begins with. */
export const FIRST_TECHNIQUE = TECHNIQUES[0]!;

/** Gloss over the whole nail. */
export { gloss } from './finish';

const BY_KIND = new Map(TECHNIQUES.map((technique) => [technique.kind, technique]));

/** The technique of an element, or of its kind. */
export function techniqueOf(kind: string): Technique<Element> {
  const technique = BY_KIND.get(kind);
  if (!technique) throw new Error(`no technique "${kind}": documents are parsed before they are planned`);
  return technique;
}
