import type { Element } from './techniques';
import type { NailContext } from './context';
import type { SetDocument } from '../model/document';
import type { NailName } from '../model/names';
import type { Compiled } from '../plan/compile';
import type { NailField } from '../plan/field';
import type { FindingDraft } from '../plan/finding';
import type { Operation } from '../plan/operation';
import type { Verdict } from '../plan/simulate';
import type { Sitting } from '../timing/sitting';

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
  sitting: Sitting;
  operations: readonly Operation[];
}

/** A judgement of the craft: its code, what it asks, and a pure check. It reads the plan and changes nothing. */
export interface NailRule {
  codes: readonly string[];
  asks: string;
  check: (nail: NailCase) => FindingDraft[];
}

export interface SetRule {
  codes: readonly string[];
  asks: string;
  check: (set: SetCase) => FindingDraft[];
}

/** The film layer that an operation laid, below which the pile can be read. */
export function filmIndex(field: NailField, operation: string): number {
  return field.films.findIndex((film) => film.operation === operation);
}
