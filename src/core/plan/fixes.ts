import { STICKY_OFF } from '../craft/drafts';
import { applyChange, type Change } from '../document/changes';
import { difference } from '../document/difference';
import type { SetDocument } from '../document/document';
import { editNail, pointers, type Edit, type INSERTABLE_VERBS } from '../document/edits';
import type { Cause } from '../judge/causes';
import type { Fix, Told } from '../judge/finding';
import { sittingKept } from '../judge/rules/sittingKept';
import type { InSlices } from '../model/inSlices';
import { mergeChanges } from './mergeChanges';
import { operationId, parseOperationId, type Operation } from '../craft/operation';
import { leastOf, mostOf } from '../model/extent';
import { lowerFirst } from '../model/letters';
import { NAILS, type NailName } from '../model/names';

/** How a set is tried: one nail alone and roughly, or the whole with its sitting. */
export interface Trials {
  nail: (set: SetDocument, name: NailName) => readonly Told[];
  /** `thorough`: with as long a search as an edit gets. */
  whole: (set: SetDocument, thorough: boolean) => readonly Told[];
  /** The nails whose plan a changed set touches. */
  touched: (next: SetDocument) => readonly NailName[];
  operations: (name: NailName) => readonly Operation[];
  skipped: (name: NailName) => readonly Operation[];
  /** Ids of all a nail's work, what is left out in the place where it would stand. */
  order: (name: NailName) => readonly string[];
}

/**
 * Work that is run in search of fixes, at most, counted in operations: a busy nail costs more than a plain one, and a
 * set with its sitting about as much as all its nails. With so many mistakes the later ones wait for the first.
 */
const MOST_WORK = 5000;
const WHOLE_SHARE = 0.7;
/** Of the artist's own moves and insertions those nearest to a fault are tried. */
const NEAREST = 6;
/** The sitting is found by then; how many ways out there are to try shows only as they are tried. */
const SEARCHED = 1;

/**
 * A way out of each cause, tried before it is offered: planned, replayed and compared. Offered only where the
 * finding goes on all its nails, and no stop and no warning comes. Two steps where one is not enough.
 */
export function* tryFixes(
  set: SetDocument,
  all: readonly Told[],
  list: readonly Cause[],
  trials: Trials,
): InSlices<WaysOut[]> {
  let budget = MOST_WORK;
  const sizeOf = (name: NailName) => trials.operations(name).length;
  const whole = WHOLE_SHARE * NAILS.reduce((sum, name) => sum + sizeOf(name), 0);
  const known = new Set(grave(all).map((one) => one.id));
  const tried = new Map<string, Trial>();
  const single: (Fix | undefined)[] = [];
  for (const cause of list) single.push(yield* wayOut(cause));
  const together = yield* allAtOnce(list, single);
  return single.map((fix, i) => ({ fix, all: together.get(i) }));

  function* wayOut(cause: Cause): InSlices<Fix | undefined> {
    // What a sitting could not keep hangs on how long it was searched for: nothing is promised about it.
    if (sittingKept.codes.includes(cause.told[0]!.code)) return undefined;
    for (const fix of candidates(set, cause, trials)) {
      const first = yield* once(fix.change, cause);
      if (first.good) return fix;
      // It ends this and brings one thing else, which may have a way out of its own.
      const [brought, ...more] = first.brings;
      if (!brought || more.length > 0) continue;
      for (const next of [...brought.tries, ...insertions(brought, lineOf(brought, trials))]) {
        const change: Change = { kind: 'many', changes: [fix.change, next.change] };
        if (sayTwice(fix.change, next.change)) continue;
        if (!(yield* once(change, cause)).good) continue;
        return { words: `${fix.words}, and ${lowerFirst(next.words)}`, change };
      }
    }
    return undefined;
  }

  /** Whether the second of two changes alters what the first has just set: one of their sentences would not hold. */
  function sayTwice(first: Change, second: Change): boolean {
    const between = applyChange(set, first);
    const after = between.ok ? applyChange(between.value, second) : between;
    if (!between.ok || !after.ok) return true;
    // Edits are statements: one more takes nothing from another.
    const places = (from: SetDocument, to: SetDocument) =>
      difference(from, to).flatMap(({ at }) => (at[0] === 'edits' ? [] : [at.join('/')]));
    const before = new Set(places(set, between.value));
    return places(between.value, after.value).some((at) => before.has(at));
  }

  /** Where the same nails have several faults with ways out: all of them in one go, offered at the first. */
  function* allAtOnce(
    causes: readonly Cause[],
    fixes: readonly (Fix | undefined)[],
  ): InSlices<Map<number, Fix>> {
    const groups = new Map<string, number[]>();
    causes.forEach((cause, i) => {
      const key = cause.nails.join();
      if (fixes[i] && key) groups.set(key, [...(groups.get(key) ?? []), i]);
    });
    const found = new Map<number, Fix>();
    for (const group of groups.values()) {
      const ways = new Set(group.map((i) => JSON.stringify(fixes[i]!.change)));
      if (ways.size < 2) continue;
      const change = mergeChanges(
        set,
        group.map((i) => fixes[i]!.change),
      );
      const all: Cause = {
        told: group.flatMap((i) => causes[i]!.told),
        nails: causes[group[0]!]!.nails,
        follows: [],
      };
      if ((yield* attempt(change, all)).good)
        found.set(group[0]!, {
          words: ways.size === 2 ? 'Mend both at once' : `Mend all ${ways.size} at once`,
          change,
        });
    }
    return found;
  }

  function* once(change: Change, cause: Cause): InSlices<Trial> {
    const key = JSON.stringify(change) + cause.told[0]!.id;
    if (!tried.has(key)) tried.set(key, yield* attempt(change, cause));
    return tried.get(key)!;
  }

  function* attempt(change: Change, cause: Cause): InSlices<Trial> {
    const next = applyChange(set, change);
    if (!next.ok) return FAILED;
    const gone = new Set(cause.told.map((one) => one.id));
    const left = (findings: readonly Told[]) => findings.some((one) => gone.has(one.id));
    for (const name of trials.touched(next.value)) {
      budget -= sizeOf(name);
      if (budget < 0) return FAILED;
      yield SEARCHED;
      const found = trials.nail(next.value, name);
      if (left(found)) return FAILED;
      const brings = grave(found).filter((one) => !known.has(one.id));
      if (brings.length > 0) return { good: false, brings };
    }
    let found: readonly Told[] = [];
    for (const thorough of [false, true]) {
      budget -= whole;
      if (budget < 0) return FAILED;
      yield SEARCHED;
      found = trials.whole(next.value, thorough);
      // A sitting that was hardly searched for may keep less than could be kept.
      const brings = grave(found).filter((one) => !known.has(one.id));
      if (!left(found) && brings.length === 0) return { good: true, brings };
      if (brings.some((one) => !sittingKept.codes.includes(one.code))) return { good: false, brings };
    }
    return { good: false, brings: [] };
  }
}

/** A way out of one cause, and one of all that the same nails have. */
export interface WaysOut {
  fix: Fix | undefined;
  all: Fix | undefined;
}

interface Trial {
  good: boolean;
  /** What it brings, where it ends what it should. */
  brings: readonly Told[];
}

const FAILED: Trial = { good: false, brings: [] };
function grave(findings: readonly Told[]): Told[] {
  return findings.filter((one) => one.severity !== 'note');
}

/** What is told of a whole set has no place in a nail's order. */
function lineOf({ nail }: Told, trials: Trials): NailLine {
  return nail
    ? { operations: trials.operations(nail), skipped: trials.skipped(nail), order: trials.order(nail) }
    : { operations: [], skipped: [], order: [] };
}

/** One nail's work: as it is, what is left out of it, and where all of it would stand. */
export interface NailLine {
  operations: readonly Operation[];
  skipped: readonly Operation[];
  /** Ids of all its work, what is left out in the place where it would stand. */
  order: readonly string[];
}

/** Ways out of what is told of one nail, untried: its rule's own, then what is usual. */
export function waysOutOf(set: SetDocument, told: Told, line: NailLine): Fix[] {
  return [
    ...told.tries,
    ...(told.operation && told.nail && told.severity !== 'note' ? usual(set, told, line) : []),
  ];
}

/** Ways out of a cause, each for all its nails at once: those of its rule, edits taken back, what is usually missing. */
function candidates(set: SetDocument, cause: Cause, trials: Trials): Fix[] {
  const each = cause.told.map((told) => waysOutOf(set, told, lineOf(told, trials)));
  const count = Math.max(0, mostOf(each.map((one) => one.length)));
  const fixes: Fix[] = [];
  for (let i = 0; i < count; i += 1) {
    const step = each.flatMap((one) => one[Math.min(i, one.length - 1)] ?? []);
    const changes = [...new Map(step.map((fix) => [JSON.stringify(fix.change), fix.change])).values()];
    if (changes.length === 0) continue;
    const words = step[0]!.words;
    fixes.push({ words, change: changes.length === 1 ? changes[0]! : { kind: 'many', changes } });
  }
  return fixes;
}

/** What was left out done after all; what is usually missing; then the artist's other changes taken back, the nearest. */
function usual(set: SetDocument, told: Told, line: NailLine): Fix[] {
  const isBack = ({ change }: Fix) => change.kind === 'remove-edit' && change.edit.kind === 'skip';
  const all = undone(set, told, line);
  const back = all.filter(isBack);
  const others = all.filter((one) => !isBack(one)).slice(0, NEAREST);
  const missing = insertions(told, line);
  return REMEDIES[told.code]?.last ? [...back, ...others, ...missing] : [...back, ...missing, ...others];
}

/** The artist's own edits on a nail, nearest to the fault first: each may be what made it. */
function undone(set: SetDocument, told: Told, line: NailLine): Fix[] {
  const name = told.nail!;
  const operations = [...line.operations, ...line.skipped];
  const place = new Map(line.order.map((id, i) => [id, i]));
  const at = place.get(told.operation!) ?? 0;
  const away = (edit: Edit) => leastOf(pointers(edit).map((id) => Math.abs((place.get(id) ?? 1e6) - at)));
  const say = (id: string) => {
    const operation = operations.find((one) => one.id === id);
    const parts = parseOperationId(id);
    return operation ? `“${operation.words}”` : parts ? `${parts.element}, ${parts.step}` : id;
  };
  return set.edits
    .filter((edit) => editNail(edit) === name)
    .sort((a, b) => away(a) - away(b))
    .map((edit) => ({ words: undoWords(edit, say), change: { kind: 'remove-edit' as const, edit } }));
}

function undoWords(edit: Edit, say: (id: string) => string): string {
  if (edit.kind === 'skip') return `Do ${say(edit.a)} after all`;
  if (edit.kind === 'before' || edit.kind === 'move')
    return `Put ${say(edit.a)} and ${say(edit.b)} back in the craft's order`;
  if (edit.kind === 'insert') return `Take “${edit.words}” out again`;
  return `Do not hold ${say(edit.a)} back`;
}

type Insertable = (typeof INSERTABLE_VERBS)[number];

/** What is usually missing, by the kind of fault: it goes right before the operation at fault, or right after. */
const REMEDIES: Record<
  string,
  {
    verbs: readonly Insertable[];
    words: string;
    seconds: number;
    after?: true;
    /** Only where no change of the artist's can be taken back. */
    last?: true;
  }
> = {
  'oil-before-layer': { verbs: ['wipe'], words: 'Wipe the oil off', seconds: 6, last: true },
  'dust-under-layer': { verbs: ['dust-off', 'wipe'], words: 'Brush the dust off', seconds: 5 },
  'powder-in-bottle': { verbs: ['dust-off'], words: 'Brush the loose powder off', seconds: 5 },
  'tacky-filed': { verbs: ['wipe'], words: STICKY_OFF, seconds: 5 },
  'uncured-covered': { verbs: ['cure'], words: 'Cure what is wet', seconds: 60 },
  'wet-touched': { verbs: ['cure'], words: 'Cure what is wet', seconds: 60 },
  'under-cured': { verbs: ['cure'], words: 'Cure it through', seconds: 90, after: true },
  'left-sticky': { verbs: ['wipe'], words: STICKY_OFF, seconds: 6, after: true },
  'no-grip': { verbs: ['buff'], words: 'Key the surface', seconds: 15 },
};

function insertions(told: Told, { operations }: NailLine): Fix[] {
  const remedy = REMEDIES[told.code];
  const at = operations.findIndex((one) => one.id === told.operation);
  const anchor = operations[remedy?.after ? at : at - 1];
  if (!remedy || at < 0 || !anchor) return [];
  return remedy.verbs.map((verb) => {
    const id = `${verb}-${told.code}`.slice(0, 40);
    const put: Change = {
      kind: 'add-edit',
      edit: {
        kind: 'insert',
        id,
        nail: told.nail!,
        after: anchor.id,
        verb,
        seconds: remedy.seconds,
        words: remedy.words,
      },
    };
    const own = operationId(told.nail!, 'own', id, 1);
    // What was put in at the same place before stands before it: what it remedies must not.
    const first: Change = { kind: 'add-edit', edit: { kind: 'before', a: own, b: told.operation! } };
    const crowded = !remedy.after && operations[at]!.element === 'own';
    return {
      words: `${remedy.words} ${remedy.after ? 'after it' : 'first'}`,
      change: crowded ? { kind: 'many', changes: [put, first] } : put,
    };
  });
}
