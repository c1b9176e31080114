import type { Operation, Stage } from '../craft/operation';
import { techniqueOf } from '../craft/techniques';
import type { SetDocument } from '../document/document';
import { upperFirst } from '../model/letters';
import { NAILS, nailWords, type NailName } from '../model/names';
import type { Plan } from './planSet';

/** What a stretch of a sitting is put to. */
export const COST_BY = ['nail', 'element', 'stage'] as const;
export type CostBy = (typeof COST_BY)[number];

/** How long something keeps the artist's hands, and where it is changed. */
export interface TimeCost {
  key: string;
  words: string;
  seconds: number;
  /** A nail that has it; what is waited for has none. */
  nail?: NailName;
  waits?: true;
}

/** What stages are to an artist. */
export const STAGE_WORDS: Record<Stage, string> = {
  ahead: 'made ahead',
  arrive: 'cleaning and taking off',
  prepare: 'preparing the plate',
  foundation: 'base, tip or form',
  body: 'building',
  shape: 'filing to shape',
  surface: 'colour and art',
  seal: 'top',
  over: 'what stands on top',
  care: 'care',
};

const OWN_STEPS: Record<string, string> = {
  prep: 'preparation',
  build: 'build',
  body: 'clear body',
  top: 'top and finish',
  care: 'care',
  own: 'put in by hand',
};

/**
 * What a planned sitting's time goes to, by nail, by element or by stage; and what is waited for, with nothing in hand. All of one
 * list add up to the sitting. Changing brushes is of the work that follows.
 */
export function whatCosts(
  set: SetDocument,
  { operations, sitting }: Pick<Plan, 'operations' | 'sitting'>,
  by: CostBy,
): TimeCost[] {
  const all = new Map(NAILS.flatMap((nail) => operations[nail]).map((one) => [one.id, one]));
  const found = new Map<string, TimeCost>();
  const add = (cost: Omit<TimeCost, 'seconds'>, seconds: number) => {
    if (seconds <= 0) return;
    const known = found.get(cost.key);
    if (known) known.seconds += seconds;
    else found.set(cost.key, { ...cost, seconds });
  };
  const busy = [
    ...sitting.strokes.map((one) => ({ ...one, from_s: one.start_s - one.changeover_s })),
    ...sitting.wipes.map((one) => ({ ...one, from_s: one.start_s - one.changeover_s })),
    ...sitting.loads
      .filter((load) => load.held)
      .map((load) => ({ ...load, operation: load.operations[0]!, from_s: load.start_s })),
  ].sort((a, b) => a.from_s - b.from_s);
  let until_s = 0;
  for (const { operation: id, from_s, end_s } of busy) {
    wait(until_s, from_s);
    // What overlaps is counted once.
    const seconds = end_s - Math.max(from_s, until_s);
    const operation = all.get(id);
    if (operation) add(KEYS[by](operation, set), seconds);
    until_s = Math.max(until_s, end_s);
  }
  wait(until_s, sitting.total_s);
  return [...found.values()].sort((a, b) => b.seconds - a.seconds || (a.key < b.key ? -1 : 1));

  /** What goes by with nothing in hand: light, or something that dries, soaks or sets. */
  function wait(from_s: number, to_s: number): void {
    if (to_s <= from_s) return;
    const lit_s = sitting.loads
      .filter((load) => !load.held)
      .map((load) => Math.max(0, Math.min(to_s, load.end_s) - Math.max(from_s, load.start_s)));
    const lit = Math.min(
      to_s - from_s,
      lit_s.reduce((sum, one) => sum + one, 0),
    );
    add({ key: 'wait lamp', words: 'Waiting for the lamp', waits: true }, lit);
    add(
      { key: 'wait rest', words: 'Waiting until something dries, sets or soaks', waits: true },
      to_s - from_s - lit,
    );
  }
}

const KEYS: Record<CostBy, (operation: Operation, set: SetDocument) => Omit<TimeCost, 'seconds'>> = {
  nail: ({ nail }) => ({ key: nail, words: upperFirst(nailWords(nail)), nail }),
  stage: ({ stage, nail }) => ({ key: stage, words: upperFirst(STAGE_WORDS[stage]), nail }),
  element: ({ element, nail }, set) => {
    const own = OWN_STEPS[element];
    if (own !== undefined) return { key: element, words: upperFirst(own), nail };
    const look = set.looks.find(({ id }) => id === set.nails[nail].look);
    const kind = look?.elements.find(({ id }) => id === element)?.kind;
    const words = kind ? techniqueOf(kind).words : element;
    return {
      key: `${look?.id ?? ''}/${element}`,
      words: look ? `${look.name}: ${words.toLowerCase()}` : words,
      nail,
    };
  },
};
