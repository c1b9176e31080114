import type { Operation } from '../craft/operation';
import { isPreparing } from '../craft/stageGroups';
import type { Verb } from '../craft/surfaces';
import { techniqueOf } from '../craft/techniques';
import type { SetDocument } from '../document/document';
import { lowerFirst } from '../model/letters';
import type { Pass } from '../timing/passes';

/** What a pass is headed by: "Colour, first coat", "Cap and French". */
export function passTitle(
  { rounds, ahead }: Pass,
  byId: ReadonlyMap<string, Operation>,
  set: SetDocument,
  coats: ReadonlyMap<string, number>,
): string {
  if (ahead) return set.practice.wearer === 'client' ? 'Before she comes' : 'Before you begin';
  const done = rounds
    .filter(({ kind }) => kind === 'work')
    .flatMap(({ operations }) => operations.flatMap((id) => byId.get(id) ?? []));
  const seconds = new Map<string, number>();
  const own = done.filter(({ verb }) => !MINOR.includes(verb));
  for (const one of own.length > 0 ? own : done) {
    const name = nameOf(one, set);
    seconds.set(name, (seconds.get(name) ?? 0) + one.hand_s);
  }
  return `${listed(seconds)}${coatWords(own, coats)}`;
}

/** By element and step of a nail: in how many coats it is laid. */
export function coatsOf(operations: readonly Operation[]): Map<string, number> {
  const coats = new Map<string, number>();
  for (const one of operations) coats.set(stepOf(one), Math.max(one.pass, coats.get(stepOf(one)) ?? 0));
  return coats;
}

function stepOf({ nail, element, step }: Operation): string {
  return `${nail}/${element}/${step}`;
}

/** Goes with other work: what is done besides says what a pass is for. */
const MINOR: readonly Verb[] = [
  'sanitise',
  'dust-off',
  'wipe',
  'wipe-spill',
  'rest',
  'flash',
  'cure',
  'bed',
  'press',
];

/** Work that is called by itself, whatever it is for. */
const BY_VERB: Partial<Record<Verb, string>> = {
  base: 'Base',
  file: 'File',
  buff: 'Key',
  'ready-tip': 'Tips',
  'press-on': 'Tips',
  'fill-tip': 'Tips',
  'glue-tip': 'Tips',
  'stick-on-stand': 'Tips',
  blend: 'Tips',
  'fit-form': 'Forms',
  'form-off': 'Forms',
  'fill-mould': 'Mould',
  'press-mould': 'Mould',
  'mould-off': 'Mould',
  'wipe-spill': 'Wipe',
  wipe: 'Wipe',
  'dust-off': 'Dust off',
  oil: 'Oil',
};
/** Of what is no element of a look. */
const OF_BUILD: Partial<Record<Verb, string>> = {
  cap: 'Cap',
  top: 'Top',
  'matte-top': 'Top',
  'top-over': 'Top',
  underside: 'Underside',
  dip: 'Dip',
  activate: 'Dip',
  coat: 'Coat',
};

function nameOf({ stage, verb, nail, element }: Operation, set: SetDocument): string {
  if (stage === 'arrive' && verb !== 'sanitise') return 'Old product off';
  if (isPreparing(stage)) return 'Prepare';
  const byVerb = BY_VERB[verb];
  if (byVerb) return byVerb;
  const look = set.looks.find(({ id }) => id === set.nails[nail].look);
  const art = look?.elements.find(({ id }) => id === element);
  if (!art) return OF_BUILD[verb] ?? 'Build';
  const technique = techniqueOf(art.kind);
  return technique.sheen ? 'Top' : (technique.named?.(art) ?? technique.words);
}

const MOST_NAMED = 3;

/** Names by their first work, the longest of many: "Colour, ombre and French". */
function listed(seconds: ReadonlyMap<string, number>): string {
  const longest = [...seconds]
    .sort((a, b) => b[1] - a[1])
    .slice(0, seconds.size > MOST_NAMED ? 2 : MOST_NAMED);
  const names = [...seconds.keys()].filter((name) => longest.some(([kept]) => kept === name));
  if (seconds.size > MOST_NAMED) names.push('more');
  const [first = 'Wait', ...rest] = names.map((name, i) =>
    i === 0 || name === 'French' ? name : lowerFirst(name),
  );
  const last = rest.pop();
  return last === undefined ? first : `${[first, ...rest].join(', ')} and ${last}`;
}

const NUMBERED = ['first', 'second', 'third', 'fourth', 'fifth', 'sixth'];

/** Which coat, where all that is laid in several is at the same one. */
function coatWords(done: readonly Operation[], coats: ReadonlyMap<string, number>): string {
  const passes = new Set(
    done
      .filter(({ deposit }) => deposit?.kind === 'conformal' || deposit?.kind === 'level')
      .map((one) => (coats.get(stepOf(one))! > 1 ? one.pass : 0)),
  );
  const [pass = 0] = passes;
  if (passes.size !== 1 || pass === 0) return '';
  const number = NUMBERED[pass - 1];
  return number ? `, ${number} coat` : `, coat ${pass}`;
}
