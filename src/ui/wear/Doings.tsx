'use client';
import { nailWords, type NailName } from '@/core/model/names';
import { withBatches, type NailFacts, type Worn } from '@/core/model/wear';
import { timeWords } from '@/core/model/times';
import classes from './WearView.module.css';

/** What was really done on a nail, as far as it is known. */
export function Doings({ worn, nail }: { worn: Worn; nail: NailName }) {
  const { by } = worn;
  const facts: NailFacts | undefined = worn.nails[nail]?.facts;
  if (!facts) return null;
  const prepared = [
    facts.buffed ? 'shine off' : 'its shine left on',
    facts.dehydrated ? 'dehydrated' : 'not dehydrated',
    facts.primed ? 'primed' : 'not primed',
  ];
  return (
    <section className={classes.next} aria-label="What was done">
      <h3>
        What was done on the {nailWords(nail)}
        {by === 'plan' && <small className={classes.soft}> as planned</small>}
      </h3>
      <dl className={classes.doings}>
        <dt>Built</dt>
        <dd>
          {facts.build_name}
          {facts.look ? `, ${facts.look}` : ''}
        </dd>
        <dt>Prepared</dt>
        <dd>
          {prepared.join(', ')}
          {facts.primed_to_wet_s !== null && `; ${timeWords(facts.primed_to_wet_s)} to the first film`}
        </dd>
        <dt>Of</dt>
        <dd>{withBatches(facts.products, worn.batches).join(', ')}</dd>
        {(facts.recipes ?? []).length > 0 && (
          <>
            <dt>Recipes</dt>
            <dd>{facts.recipes!.join('; ')}</dd>
          </>
        )}
        {facts.least_light !== null && (
          <>
            <dt>Light</dt>
            <dd>
              {facts.least_light >= 1
                ? 'all of it was given'
                : `one film got ${Math.round(facts.least_light * 100)} % of its light`}
            </dd>
          </>
        )}
        {facts.left_out.length > 0 && (
          <>
            <dt>Left out</dt>
            <dd>{facts.left_out.map((verb) => verb.replaceAll('-', ' ')).join(', ')}</dd>
          </>
        )}
        {facts.past_date.length > 0 && (
          <>
            <dt>Past its date</dt>
            <dd>{facts.past_date.join(', ')}</dd>
          </>
        )}
      </dl>
    </section>
  );
}
