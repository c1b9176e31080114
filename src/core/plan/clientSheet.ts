import { buildKindOf } from '../craft/builds';
import { WORN, type Worn } from '../craft/build';
import { buildOf } from '../document/nailContext';
import type { SetDocument } from '../document/document';
import { dayAfter, dayWords } from '../model/days';
import { upperFirst } from '../model/letters';
import { NAILS, type NailName } from '../model/names';
import { whoseWords } from '../timing/rounds';
import type { Plan } from './planSet';

/** What a client takes home: what is worn, how long it took, how it is cared for, and when to come again. */
export interface ClientSheet {
  title: string;
  worn: { whose: string; what: string }[];
  from_s: number;
  to_s: number;
  care: string[];
  /** Undefined for tips that nobody wears yet. */
  again: (Worn & { from: string; to: string }) | undefined;
}

/** The sheet of a set that is worn from a day on. `day`: ISO 8601, the day alone. */
export function clientSheet(set: SetDocument, plan: Plan, day: string): ClientSheet {
  const worked = NAILS.filter((name) => set.nails[name].in_work);
  const kinds = worked.map((name) => buildKindOf(buildOf(set, set.nails[name]).kind));
  const onHand = kinds.filter(({ offHand }) => !offHand).map(({ worn = WORN }) => worn);
  // The first that is due brings her back for all.
  const [first] = onHand.toSorted((a, b) => a.from_days - b.from_days || a.to_days - b.to_days);
  return {
    title: set.title,
    worn: wornOf(set, worked),
    from_s: plan.sitting.low_s,
    to_s: plan.sitting.high_s,
    care: [...CARE, ...(stands(plan) ? [STANDING] : [])],
    again: first && { ...first, from: dayAfter(day, first.from_days), to: dayAfter(day, first.to_days) },
  };
}

/** Each look once, with the nails that wear it, and what they are built in. */
function wornOf(set: SetDocument, worked: readonly NailName[]): ClientSheet['worn'] {
  const alike = new Map<string, { nails: NailName[]; what: string }>();
  for (const name of worked) {
    const nail = set.nails[name];
    const look = set.looks.find(({ id }) => id === nail.look)?.name ?? 'plain';
    const what = `${look}, on ${buildOf(set, nail).name}`;
    const known = alike.get(what);
    if (known) known.nails.push(name);
    else alike.set(what, { nails: [name], what });
  }
  return [...alike.values()].map(({ nails, what }) => ({
    whose: upperFirst(whoseWords(nails, worked)),
    what,
  }));
}

/** The sheet's own words beside what was used, for a reaction or another artist: to be read as text or printed as a page. */
export interface SheetPage {
  title: string;
  facts: { words: string; says: string }[];
  list_words: string;
  list: string[];
  small: string[];
}

/** `used`: what was on these nails, by name. */
export function sheetPage(
  { title, worn, care, again }: ClientSheet,
  day: string,
  used: readonly string[],
): SheetPage {
  return {
    title,
    facts: [
      { words: 'Made on', says: dayWords(day) },
      ...(again
        ? [
            {
              words: 'Come again',
              says: `${dayWords(again.from)} to ${dayWords(again.to)}, for ${again.then}`,
            },
          ]
        : []),
      { words: 'What you wear', says: worn.map(({ whose, what }) => `${whose}: ${what}`).join('; ') },
    ],
    list_words: 'Care',
    list: care,
    small: [`What was used: ${used.join(', ')}.`],
  };
}

/** The same as text. */
export function sheetText({ title, facts, list_words, list, small }: SheetPage): string {
  return [
    title,
    '',
    ...facts.map(({ words, says }) => `${words}: ${says}`),
    '',
    `${list_words}:`,
    ...list.map((line) => `- ${line}`),
    '',
    ...small,
    '',
  ].join('\n');
}

function stands({ operations }: Plan): boolean {
  return Object.values(operations)
    .flat()
    .some(({ stage, deposit }) => stage === 'over' && deposit?.kind === 'pieces');
}

/** Care after a set (common practice). */
const CARE = [
  'Oil on the skin around every nail, once a day.',
  'Gloves for cleaning, and for long work in water.',
  'Nails are no tools: nothing is opened, scraped or picked with them.',
  'Never pull or bite off what lifts: a layer of your own nail comes with it. Come by, it is mended.',
  'If the skin burns, itches or swells, or a nail hurts or changes its colour, do not wait for it to pass: ask a doctor, and bring this sheet.',
];
const STANDING =
  'What stands on a nail catches: hair, wool and gloves with care; a stone that is loose is not glued at home.';
