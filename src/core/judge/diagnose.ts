import { NAIL_RULES, SET_RULES } from './rules';
import type { NailCase, SetCase } from './rule';
import { NAILS, type NailName } from '../model/names';
import type { Finding, FindingDraft, Severity } from './finding';
import type { Operation } from '../craft/operation';

/** Runs every rule on one nail. */
export function diagnoseNail(nail: NailCase): Finding[] {
  return NAIL_RULES.flatMap((rule) => rule.check(nail).map((draft) => finish(draft, rule.codes, nail.name)));
}

/** Runs every rule on the set as a whole. */
export function diagnoseSet(set: SetCase): Finding[] {
  return SET_RULES.flatMap((rule) => rule.check(set).map((draft) => finish(draft, rule.codes, draft.nail)));
}

function finish(draft: FindingDraft, codes: readonly string[], nail: NailName | undefined): Finding {
  const code = draft.code ?? codes[0]!;
  const about = draft.operation ?? draft.element ?? (draft.fix ? JSON.stringify(draft.fix.change) : '');
  return { ...draft, code, ...(nail ? { nail } : {}), id: `${code}:${nail ?? 'set'}:${about}` };
}

const WEIGHT: Record<Severity, number> = { stop: 0, warn: 1, note: 2 };

/** Worst first, then nail by nail in screen order, then in order of work. */
export function sortFindings(findings: readonly Finding[], operations: readonly Operation[]): Finding[] {
  const place = new Map(operations.map((operation, i) => [operation.id, i]));
  const key = (finding: Finding) => [
    WEIGHT[finding.severity],
    finding.nail ? NAILS.indexOf(finding.nail) : -1,
    finding.operation ? (place.get(finding.operation) ?? 0) : -1,
  ];
  return [...findings].sort((a, b) => {
    const x = key(a);
    const y = key(b);
    for (let i = 0; i < x.length; i += 1) if (x[i] !== y[i]) return x[i]! - y[i]!;
    return a.id < b.id ? -1 : 1;
  });
}
