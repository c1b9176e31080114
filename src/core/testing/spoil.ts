import { applyChange } from '../document/changes';
import type { SetDocument } from '../document/document';
import type { Edit } from '../document/edits';
import { nailsOf, type Finding } from '../judge/finding';
import { sittingKept } from '../judge/rules/sittingKept';
import { NAILS } from '../model/names';
import { planNail } from '../plan/nailPlan';
import { newMemo, planSet, type PlanMemo } from '../plan/planSet';
import type { Chance } from '../model/chance';

/** Mistakes of the kind that are made at a table: steps left out or moved, things too large, too thick, too few. */
export function spoiled(set: SetDocument, by: Chance): SetDocument {
  const next = structuredClone(set);
  const count = 1 + by.below(3);
  for (let i = 0; i < count; i += 1) {
    const nail = by.pick(NAILS);
    const steps = planNail(next, nail).compiled.operations;
    const a = by.pick(steps).id;
    const b = by.pick(steps).id;
    const edit = by.pick<Edit | undefined>([
      { kind: 'skip', a },
      { kind: 'skip', a },
      a === b ? undefined : { kind: 'before', a, b },
      undefined,
    ]);
    if (edit) next.edits.push(edit);
    else exaggerate(next, by);
  }
  return next;
}

function exaggerate(set: SetDocument, by: Chance): void {
  for (const element of by.pick(set.looks).elements) {
    if (element.kind === 'inlay') {
      element.cap_um = 150 + by.below(200);
      for (const piece of element.pieces) piece.thickness_mm *= 1 + by.below(4);
    }
    if (element.kind === 'charm') element.width_mm = Math.min(30, element.width_mm * (1 + by.below(3)));
    if (element.kind === 'colour') element.passes = 1;
  }
}

/** A finding in each of its parts, nail by nail; what only the sitting could not keep depends on its search. */
export function parts(finding: Finding): string[] {
  if (sittingKept.codes.includes(finding.code)) return [];
  const codes = [finding.code, ...(finding.follows ?? []).map((one) => one.code)];
  return nailsOf(finding).flatMap((nail) => codes.map((code) => `${code} ${nail}`));
}

/** Ways out that do not do what they say: they leave their finding, or bring a stop or a warning. */
export function brokenPromises(set: SetDocument): { offered: number; broken: string[] } {
  const memo: PlanMemo = newMemo();
  const effort = { iterations: 150 };
  const { findings } = planSet(set, { memo, effort });
  const before = new Set(planSet(set, { memo, effort, fixes: false }).findings.flatMap(parts));
  const offered = findings.filter((finding) => finding.fix);
  const broken = offered.flatMap((finding): string[] => {
    const next = applyChange(set, finding.fix!.change);
    if (!next.ok) return [`${finding.code}: refused`];
    const after = planSet(next.value, { memo, effort, fixes: false }).findings;
    const left = after.some((one) => one.id === finding.id);
    const grave = after.filter((one) => one.severity !== 'note').flatMap(parts);
    const brought = grave.filter((part) => !before.has(part));
    return left || brought.length > 0
      ? [`${finding.code} by “${finding.fix!.words}”: ${left ? 'stays' : `brings ${brought.join()}`}`]
      : [];
  });
  return { offered: offered.length, broken };
}
