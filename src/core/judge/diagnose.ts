import type { FindingCode } from './codes';
import { NAIL_RULES, SET_RULES } from './rules';
import type { NailCase, SetCase } from './rule';
import { NAILS, type NailName } from '../model/names';
import { nailsOf, type Finding, type FindingDraft, type Severity, type Told } from './finding';
import type { Operation } from '../craft/operation';

/** Runs every rule on one nail. */
export function diagnoseNail(nail: NailCase): Told[] {
  return unique(
    NAIL_RULES.flatMap((rule) => rule.check(nail).map((draft) => told(draft, rule.codes, nail.name))),
  );
}

/** Runs every rule on the set as a whole. */
export function diagnoseSet(set: SetCase): Told[] {
  return unique(
    SET_RULES.flatMap((rule) => rule.check(set).map((draft) => told(draft, rule.codes, draft.nail))),
  );
}

function told(draft: FindingDraft, codes: readonly FindingCode[], nail: NailName | undefined): Told {
  const { fix, tries, ...rest } = graded(draft);
  const code = draft.code ?? codes[0]!;
  const about = draft.about ?? draft.operation ?? draft.element ?? (fix ? JSON.stringify(fix.change) : '');
  return {
    ...rest,
    code,
    ...(nail ? { nail } : {}),
    id: `${code}:${nail ?? 'set'}:${about}`,
    tries: [...(tries ?? []), ...(fix ? [fix] : [])],
  };
}

/** So near its limit a fault is a matter of the hand, not of the plan (common practice: guide figures are rough). */
const HARDLY = 0.04;

/** A warning whose figure hardly misses its limit is a note, and says so; a stop stays what it is. */
function graded(draft: FindingDraft): FindingDraft {
  const { severity, figure, reason } = draft;
  if (severity !== 'warn' || !figure || figure.limit <= 0) return draft;
  const missed = Math.abs(figure.value - figure.limit) / figure.limit;
  return missed > HARDLY
    ? draft
    : { ...draft, severity: 'note', reason: `${reason} It hardly misses its limit.` };
}

/** Two findings of one id are told apart by their count: a list on the screen needs keys of its own. */
function unique(findings: readonly Told[]): Told[] {
  const seen = new Map<string, number>();
  return findings.map((finding) => {
    const count = (seen.get(finding.id) ?? 0) + 1;
    seen.set(finding.id, count);
    return count === 1 ? finding : { ...finding, id: `${finding.id}:${count}` };
  });
}

const WEIGHT: Record<Severity, number> = { stop: 0, warn: 1, note: 2 };

/** Worst first, then nail by nail in screen order, then in order of work. */
export function sortFindings<T extends Pick<Finding, 'id' | 'severity' | 'nail' | 'nails' | 'operation'>>(
  findings: readonly T[],
  operations: readonly Operation[],
): T[] {
  const place = new Map(operations.map((operation, i) => [operation.id, i]));
  const key = (finding: T) => {
    const nail = nailsOf(finding)[0];
    return [
      WEIGHT[finding.severity],
      nail ? NAILS.indexOf(nail) : -1,
      finding.operation ? (place.get(finding.operation) ?? 0) : -1,
    ];
  };
  return [...findings].sort((a, b) => {
    const x = key(a);
    const y = key(b);
    for (let i = 0; i < x.length; i += 1) if (x[i] !== y[i]) return x[i]! - y[i]!;
    return a.id < b.id ? -1 : 1;
  });
}
