import type { Change } from '../document/changes';
import type { NailName } from '../model/names';

export type Severity = 'stop' | 'warn' | 'note';

/** A figure a judgement rests on. */
export interface Figure {
  words: string;
  value: number;
  limit: number;
  is: 'at most' | 'at least';
  unit: string;
}

/** A change to the document that mends a finding. */
export interface Fix {
  words: string;
  change: Change;
}

/** A judgement on the plan, with its reason and, where there is one, a way out. */
export interface Finding {
  /** Stable across replanning: code, nail and what it is about. */
  id: string;
  code: string;
  severity: Severity;
  nail?: NailName;
  element?: string;
  operation?: string;
  /** What is wrong, for the artist. */
  message: string;
  /** Why it matters on the nail. */
  reason: string;
  figure?: Figure;
  fix?: Fix;
}

export type FindingDraft = Omit<Finding, 'id' | 'code' | 'nail'> & { code?: string; nail?: NailName };
