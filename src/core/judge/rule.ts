import { techniqueOf, type Element } from '../craft/techniques';
import type { Wish, Wishes } from '../craft/ways';
import type { NailContext } from '../craft/context';
import type { SetDocument } from '../document/document';
import type { NailName } from '../model/names';
import type { Compiled } from '../compile/compile';
import type { NailField } from '../simulate/field';
import { isSolid } from '../simulate/layers';
import type { FindingCode } from './codes';
import type { FindingDraft, Fix } from './finding';
import { lookOf } from '../document/nailContext';
import type { Change } from '../document/changes';
import type { Edit } from '../document/edits';
import type { NailChange } from '../model/nail';
import type { Operation } from '../craft/operation';
import type { Verdict } from '../simulate/grips';
import type { LookProfile } from './profile';
import type { Schedule } from '../timing/problem';

/** One nail, planned and simulated as the sitting runs it. */
export interface NailCase {
  set: SetDocument;
  name: NailName;
  context: NailContext;
  elements: readonly Element[];
  compiled: Compiled;
  operations: readonly Operation[];
  field: NailField;
  verdicts: readonly Verdict[];
}

/** The whole set. */
export interface SetCase {
  set: SetDocument;
  sitting: Schedule;
  /** No order of work can be quicker. */
  bound_s: number;
  operations: readonly Operation[];
  /** What a nail of the set is to the eye; undefined where it wears nothing. */
  seen: (nail: NailName) => LookProfile | undefined;
  /** Statements across two nails that no order of work can keep. */
  circular: readonly Edit[];
}

/** A judgement of the craft: its code, what it asks, and a pure check. It reads the plan and changes nothing. */
export interface NailRule {
  codes: readonly FindingCode[];
  asks: string;
  check: (nail: NailCase) => FindingDraft[];
}

export interface SetRule {
  codes: readonly FindingCode[];
  asks: string;
  check: (set: SetCase) => FindingDraft[];
}

type Options = Extract<NailChange, { options: unknown }>['options'];

/**
 * The change that gives an element other options: on its look, or on this nail alone where the nail already
 * has options of its own for it. Undefined where the nail wears no such element.
 */
export function adjust(nail: NailCase, id: string, options: Options): Change | undefined {
  const look = lookOf(nail.set, nail.context.nail);
  const element = look?.elements.find((one) => one.id === id);
  if (!look || !element) return undefined;
  const own = nail.context.nail.changes.find((one) => one.element === id);
  if (own && 'options' in own) {
    return {
      kind: 'nail-change',
      nail: nail.name,
      change: { element: id, options: { ...own.options, ...options } },
    };
  }
  return { kind: 'put-element', look: look.id, element: { ...element, ...options } as Element };
}

/** A fix that adjusts an element, or nothing where it cannot be adjusted. */
export function adjusting(nail: NailCase, id: string, options: Options, words: string): { fix?: Fix } {
  const [fix] = trying(nail, id, options, words);
  return fix ? { fix } : {};
}

/** The same as a list of ways out, none or one long. */
export function trying(nail: NailCase, id: string, options: Options, words: string): Fix[] {
  const change = adjust(nail, id, options);
  return change ? [{ words, change }] : [];
}

/** What an element's technique answers to a wish, as ways out of a finding. */
export function granted<W extends Wish>(nail: NailCase, id: string, wish: W, asked: Wishes[W]): Fix[] {
  const element = nail.elements.find((one) => one.id === id);
  const ways = element && techniqueOf(element.kind).ways?.[wish]?.(element, asked, nail.context);
  return (ways ?? []).flatMap(({ options, words }) => trying(nail, id, options as Options, words));
}

/** What each element of a nail in turn answers to a wish that is none's in particular. */
export function grantedByAny<W extends Wish>(nail: NailCase, wish: W, asked: Wishes[W]): Fix[] {
  return nail.elements.flatMap(({ id }) => granted(nail, id, wish, asked));
}

/** The film layer that an operation laid, below which the pile can be read. */
export function filmIndex(field: NailField, operation: string): number {
  return field.films.findIndex((film) => film.operation === operation && isSolid(film));
}
