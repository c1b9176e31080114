import type { Surface } from './surface';
import type { Start } from '../model/start';
import type { BuildStages, Refill, Structure } from './build';
import type { NailContext } from './context';
import type { Draft } from './operation';
import type { Field } from './technique';

/** Old product on a nail: from here to the tip, so thick at its apex. */
export interface OldProductOn {
  from_mm: number;
  apex_um: number;
  /** It carries the nail's whole length and stays; otherwise it ends with the plate. */
  stays: boolean;
}

/** What is found on a nail before any work. */
export interface FoundOn {
  dull: boolean;
  /** The plate has been made ready as far as this. */
  prep?: Surface['prep'];
  /** In the place of a plate lies a ready tip. */
  tip?: true;
  old?: OldProductOn;
}

/** What a build gives an old nail of its own kind: its own stages, and what it lays anew. */
export interface BuildAnew {
  stages: () => BuildStages;
  structure: () => Structure | undefined;
  /** How it fills what has grown out. */
  refill: () => Refill;
  /** Thickness at the apex of such a nail when it was new. */
  worn_um: number;
}

/** The nail's own surface as it is found, where nothing lies on it. */
export function foundSurface({ dull, tip, prep = 'none' }: FoundOn): Surface {
  const finish = dull ? 'keyed' : 'shine';
  return tip
    ? { material: 'tip', phase: 'cured', finish, soil: 'clean', prep: 'none' }
    : { material: 'plate', phase: 'bare', finish, soil: 'clean', prep };
}

/** Whether there is a plate to be made ready. */
export function hasPlate({ kind }: Start): boolean {
  return kind !== 'practice';
}

/** Whether a nail needs no primer at the table: it has it already, or there is no plate. */
export function isPrimedAlready(start: Start): boolean {
  return !hasPlate(start) || (start.kind === 'prepared' && start.primed);
}

/** How a nail's work begins: what is found on it, and what that asks for before or instead of the build's own stages. */
export interface StartKind<S> {
  kind: Start['kind'];
  words: string;
  blurb: string;
  /** What is asked of such a start. */
  fields: (start: S) => readonly Field[];
  /** The start after one of its fields was changed: other figures may follow it. */
  follow?: (start: S, path: string) => S;
  fresh: () => S;
  found: (start: S, worn_um: number) => FoundOn;
  /** Work on old product that comes off, once the hands are sanitised. */
  clear?: (start: S, context: NailContext) => Draft[];
  /** What takes the place of all preparing of the plate. */
  prepared?: (start: S, context: NailContext) => Required<Pick<BuildStages, 'arrive' | 'prepare'>>;
  /** Nobody's hand is at the table: no skin is met and no oil follows. */
  offHand?: true;
  /** The plate still has its shine. */
  shines: (start: S) => boolean;
  /** Where the old nail stays: the stages that take the place of the build's own. */
  keeps?: (
    start: S,
    build: BuildAnew,
    context: NailContext,
  ) => { stages: BuildStages; structure?: Structure };
}
