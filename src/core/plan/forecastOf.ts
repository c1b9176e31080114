import { acrossNails } from '../compile/acrossNails';
import type { SetDocument } from '../document/document';
import { NAILS } from '../model/names';
import { byGuide, byOwnTimes, forecast, type Forecast } from '../timing/forecast';
import { waitsOf } from '../timing/waits';
import type { Plan } from './planSet';

/** When a planned sitting will be over, of many evenings with the hands that are known of this artist. */
export function forecastOf(
  set: SetDocument,
  { operations, sitting }: Pick<Plan, 'operations' | 'sitting'>,
  options: { runs?: number; seed?: number } = {},
): Forecast {
  const chains = NAILS.map((nail) => operations[nail]);
  const all = new Map(chains.flat().map((one) => [one.id, one]));
  const waits = waitsOf(
    sitting,
    chains.flat(),
    acrossNails(set, chains).precedences,
    set.practice.wearer === 'own',
  );
  const work = waits.pieces.map(({ operation, light }) => {
    const one = light ? undefined : all.get(operation);
    return (
      one && { work: one.verb, scatter: one.own ? byOwnTimes(one.own) : byGuide(set.practice.pace, one.verb) }
    );
  });
  return forecast(waits, work, options);
}
