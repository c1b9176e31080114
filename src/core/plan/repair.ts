import { applyChange, type Change } from '../document/changes';
import type { SetDocument } from '../document/document';
import { editNail, pointers, type Edit, type INSERTABLE_VERBS } from '../document/edits';
import type { NailName } from '../model/names';
import type { Finding, Fix } from '../judge/finding';
import { judgeNail, planNail, type NailPlan } from './nailPlan';
import { parseOperationId } from '../craft/operation';

/**
 * Each trial plans the nail anew: as many as this much work allows, counted in operations and pieces. A nail with
 * more mistakes gets its later fixes once the first are mended.
 */
const TRIAL_WORK = 120;
const MOST_TRIALS = 12;
const NEAREST = 6;

/**
 * Looks for a fix where a rule offers none: each of the artist's edits is tried without, then small
 * insertions that usually help. A fix is offered only if the simulation shows that the finding goes and no
 * new stop comes.
 */
export function repairNail(
  set: SetDocument,
  name: NailName,
  plan: NailPlan,
  findings: readonly Finding[],
): Finding[] {
  const open = findings.filter((finding) => !finding.fix && finding.operation && finding.severity !== 'note');
  if (open.length === 0) return [...findings];
  const trials = new Map<string, Finding[] | undefined>();
  const most = Math.min(MOST_TRIALS, Math.floor(TRIAL_WORK / workOf(plan)));
  const attempt = (change: Change): Finding[] | undefined => {
    const key = JSON.stringify(change);
    if (!trials.has(key)) {
      if (trials.size >= most) return undefined;
      const next = applyChange(set, change);
      trials.set(key, next.ok ? judged(next.value, name) : undefined);
    }
    return trials.get(key);
  };
  const edits = set.edits.filter((edit) => editNail(edit) === name);
  const place = new Map(
    [...plan.compiled.operations, ...plan.compiled.skipped].map((operation, i) => [operation.id, i]),
  );
  /** The edits that speak of steps nearest to a finding's: most mistakes lie close to what they spoil. */
  const nearest = (finding: Finding): Edit[] => {
    if (edits.length <= NEAREST) return edits;
    const at = place.get(finding.operation!) ?? 0;
    const away = (edit: Edit) =>
      Math.min(...pointers(edit).map((id) => Math.abs((place.get(id) ?? 1e6) - at)));
    return [...edits].sort((a, b) => away(a) - away(b)).slice(0, NEAREST);
  };
  const stops = findings.filter((finding) => finding.severity === 'stop').length;
  return findings.map((finding) => {
    if (!open.includes(finding)) return finding;
    const candidates: Fix[] = [
      ...nearest(finding).map((edit) => ({
        words: undoWords(edit, plan),
        change: { kind: 'remove-edit' as const, edit },
      })),
      ...insertions(finding, plan, name),
    ];
    for (const fix of candidates) {
      const after = attempt(fix.change);
      if (!after || after.some((one) => one.id === finding.id)) continue;
      if (
        after.filter((one) => one.severity === 'stop').length >
        stops - (finding.severity === 'stop' ? 1 : 0)
      )
        continue;
      return { ...finding, fix };
    }
    return finding;
  });
}

function workOf(plan: NailPlan): number {
  return plan.compiled.operations.reduce(
    (sum, one) => sum + 1 + (one.deposit?.kind === 'pieces' ? one.deposit.pieces.length : 0),
    0,
  );
}

function judged(set: SetDocument, name: NailName): Finding[] {
  const plan = planNail(set, name);
  return judgeNail(set, name, plan, plan.nominal);
}

function undoWords(edit: Edit, plan: NailPlan): string {
  const say = (id: string) => {
    const { operations, skipped } = plan.compiled;
    const operation = [...operations, ...skipped].find((one) => one.id === id);
    const parts = parseOperationId(id);
    return operation ? `“${operation.words}”` : parts ? `${parts.element}, ${parts.step}` : id;
  };
  if (edit.kind === 'skip') return `Do ${say(edit.a)} after all`;
  if (edit.kind === 'before') return `Put ${say(edit.a)} and ${say(edit.b)} back in the craft's order`;
  if (edit.kind === 'insert') return `Take “${edit.words}” out again`;
  return `Do not hold ${say(edit.a)} back`;
}

type Insertable = (typeof INSERTABLE_VERBS)[number];

/** What is usually missing, by the kind of fault: where it goes is right before the operation at fault. */
const REMEDIES: Record<string, { verbs: readonly Insertable[]; words: string; seconds: number }> = {
  'oil-before-layer': { verbs: ['wipe'], words: 'Wipe the oil off', seconds: 6 },
  'dust-under-layer': { verbs: ['dust-off', 'wipe'], words: 'Brush the dust off', seconds: 5 },
  'tacky-filed': { verbs: ['wipe'], words: 'Wipe the sticky layer off', seconds: 5 },
  'uncured-covered': { verbs: ['cure'], words: 'Cure what is wet', seconds: 60 },
  'wet-touched': { verbs: ['cure'], words: 'Cure what is wet', seconds: 60 },
  'under-cured': { verbs: ['cure'], words: 'Cure it through', seconds: 90 },
  'left-sticky': { verbs: ['wipe'], words: 'Wipe the sticky layer off', seconds: 6 },
  'no-grip': { verbs: ['buff'], words: 'Key the surface', seconds: 15 },
};

function insertions(finding: Finding, plan: NailPlan, name: NailName): Fix[] {
  const remedy = REMEDIES[finding.code];
  const { operations } = plan.compiled;
  const at = operations.findIndex((one) => one.id === finding.operation);
  if (!remedy || at < 0) return [];
  // Most faults are mended before the operation they are about; what it leaves undone, after it.
  const after = finding.code === 'under-cured' || finding.code === 'left-sticky' ? at : at - 1;
  const anchor = operations[after];
  if (!anchor) return [];
  return remedy.verbs.map((verb) => ({
    words: `${remedy.words} ${after === at ? 'after it' : 'first'}`,
    change: {
      kind: 'add-edit' as const,
      edit: {
        kind: 'insert' as const,
        id: `${verb}-${finding.code}`.slice(0, 40),
        nail: name,
        after: anchor.id,
        verb,
        seconds: remedy.seconds,
        words: remedy.words,
      },
    },
  }));
}
