import { parseOperationId } from '../craft/operation';
import { append } from '../model/extent';
import type { NailName } from '../model/names';
import type { Severity, Told } from './finding';

/** One cause: the same fault wherever it is, with all that only follows from it. */
export interface Cause {
  /** One for each nail, the first told first. */
  told: Told[];
  nails: NailName[];
  follows: Told[];
}

/** On one nail, what happens only because of something else: cause, then its effects. */
const FOLLOWS: Record<string, readonly string[]> = {
  'piece-proud': ['filed-through', 'cap-thin'],
  'cap-thin': ['filed-through'],
  'unprepared-plate': ['unprepared-plate'],
  'uncured-covered': ['under-cured', 'uncured-covered'],
  'no-grip': ['no-grip'],
  'oil-before-layer': ['oil-before-layer', 'oil-early'],
  'dust-under-layer': ['dust-under-layer'],
  'powder-in-bottle': ['powder-in-bottle'],
  'tacky-filed': ['tacky-filed'],
  'needs-wet': ['wet-touched', 'top-over-stones', 'needs-wet'],
  'too-large': ['off-the-plate', 'pieces-overlap'],
  'under-cured': ['wet-touched', 'no-top'],
  'no-top': ['left-sticky'],
  'work-left-out': ['unprepared-plate'],
};

const WEIGHT: Record<Severity, number> = { stop: 0, warn: 1, note: 2 };

/** One cause is one finding: effects are folded into it, and the same fault on several nails is told once. */
export function causes(findings: readonly Told[]): Cause[] {
  const folded = new Map<Told, Told[]>();
  const gone = new Set<Told>();
  for (const cause of findings) {
    if (gone.has(cause)) continue;
    const effects = findings.filter(
      (one) =>
        one !== cause &&
        !gone.has(one) &&
        !folded.has(one) &&
        one.nail === cause.nail &&
        cause.nail !== undefined &&
        WEIGHT[one.severity] >= WEIGHT[cause.severity] &&
        (FOLLOWS[cause.code]?.includes(one.code) ?? false) &&
        (one.code !== cause.code || one.operation !== cause.operation),
    );
    folded.set(cause, effects);
    for (const one of effects) gone.add(one);
  }
  const groups = new Map<string, Cause>();
  for (const [told, follows] of folded) {
    if (gone.has(told)) continue;
    const key = sameFault(told);
    const known = groups.get(key);
    if (known && told.nail && !known.nails.includes(told.nail)) {
      known.told.push(told);
      known.nails.push(told.nail);
      append(known.follows, follows);
      continue;
    }
    groups.set(known ? `${key} ${told.id}` : key, {
      told: [told],
      nails: told.nail ? [told.nail] : [],
      follows,
    });
  }
  return [...groups.values()];
}

/** What a finding is about, whichever nail it is on. */
function sameFault(told: Told): string {
  const parts = told.operation ? parseOperationId(told.operation) : undefined;
  const step = parts ? `${parts.element}/${parts.step}#${parts.pass}` : '';
  return [
    told.code,
    told.severity,
    told.about ?? '',
    told.element ?? '',
    step,
    told.nail ? '' : told.id,
  ].join(' ');
}
