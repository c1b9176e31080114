import type { Change } from '../document/changes';
import type { FindingCode } from './codes';
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
  code: FindingCode;
  severity: Severity;
  /** The nail it is about; of several, the first. */
  nail?: NailName;
  /** Every nail with this same fault, where there are more than one. */
  nails?: NailName[];
  element?: string;
  operation?: string;
  /** What it is about where neither element nor operation says it: findings that differ here are two. */
  about?: string;
  /** What is wrong, for the artist. */
  message: string;
  /** Why it matters on the nail. */
  reason: string;
  figure?: Figure;
  /** What happens only because of it, and goes with it. */
  follows?: { code: string; message: string }[];
  fix?: Fix;
  /** Another way: to say that it is meant, or to mend all that these nails have at once. */
  also?: Fix;
}

export type FindingDraft = Omit<Finding, 'id' | 'code' | 'nail' | 'nails' | 'follows'> & {
  code?: FindingCode;
  nail?: NailName;
  /** Ways out to be tried before `fix`, best first. */
  tries?: Fix[];
};

/** A finding whose ways out have yet to be tried. */
export type Told = Omit<Finding, 'fix' | 'nails' | 'follows'> & { tries: Fix[] };

/** The nails a finding is about. */
export function nailsOf(finding: Pick<Finding, 'nail' | 'nails'>): readonly NailName[] {
  return finding.nails ?? (finding.nail ? [finding.nail] : []);
}
