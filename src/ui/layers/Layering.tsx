'use client';
import { TextInput } from '@mantine/core';
import { useState } from 'react';
import { isClean, meets, surfaceCalled, surfacesMet, wantsOf, workOf, WORKS } from '@/core/craft/layering';
import { laidBy, type Operation } from '@/core/craft/operation';
import { REASON_WORDS } from '@/core/craft/reasonWords';
import { surfaceWords } from '@/core/craft/surface';
import { nailsWords } from '@/core/model/names';
import { whereMet, type MetAt } from '@/core/plan/whereMet';
import { Pick } from '../kit/Pick';
import { useStudio } from '../studio/studio';
import classes from './LayersView.module.css';

interface Props {
  operations: readonly Operation[];
  /** The surface after each, in words. */
  surfaces: readonly string[];
  index: number;
  onGo: (to: MetAt) => void;
}

const MOST_PLACES = 4;
const MOST_FOUND = 8;

/** What holds on what: asked of the table that the order is judged by, beginning with the step that is looked at. */
export function Layering({ operations, surfaces: after, index, onGo }: Props) {
  const plan = useStudio((s) => s.plan);
  const products = useStudio((s) => s.set.kit.products);
  const product = (id: string) => products.find((one) => one.id === id)!;
  const [asked, setAsked] = useState<{ step: string | undefined; work?: string; surface?: string }>();
  const [search, setSearch] = useState('');
  // Light and rests lay nothing: what is asked about is the work they lead to.
  const worked = (one: Operation) => workOf(one.verb, laidBy(one, product));
  const at = operations.findIndex((one, i) => i >= index && worked(one));
  const operation = operations[at];
  const own = operation && worked(operation);
  const before = after[at - 1];
  // What was asked for stays until another step is looked at.
  const mine = asked && asked.step === operation?.id ? asked : undefined;
  const work = WORKS.find((one) => one.key === mine?.work) ?? own ?? WORKS[0]!;
  const surfaces = surfacesMet();
  const wanted = mine?.surface ?? before;
  const surface = surfaceCalled(wanted) ?? surfaces[0]!;
  const met = meets(work, surface);
  const places = plan ? whereMet(plan, product, work.key, met.surface) : [];
  const ask = (of: { work?: string; surface?: string }) =>
    setAsked({ step: operation?.id, work: work.key, surface: met.surface, ...of });
  const words = search.trim().toLowerCase();
  const found = words
    ? surfaces.filter((one) => surfaceWords(one).includes(words)).map((one) => meets(work, one))
    : [];
  return (
    <section className={classes.layering} aria-label="What holds on what">
      <h2>What holds on what</h2>
      <Pick
        label="Laid, or done"
        value={work.key}
        onChange={(event) => ask({ work: event.currentTarget.value })}
        data={WORKS.map((one) => ({ value: one.key, label: one.words }))}
      />
      <Pick
        label="On"
        value={met.surface}
        onChange={(event) => ask({ surface: event.currentTarget.value })}
        data={surfaces
          .filter((one) => isClean(one) || one === surface)
          .map((one) => ({ value: surfaceWords(one), label: surfaceWords(one) }))}
      />
      <div aria-live="polite">
        <p className={met.reason ? classes.holdsNot : classes.holds}>
          <b>{met.reason ? '✕ Does not hold.' : '✓ Holds.'}</b>{' '}
          {met.reason ? REASON_WORDS[met.reason] : `It leaves ${met.leaves}.`}
        </p>
        {met.reason && (
          <p>
            {met.ways.length > 0
              ? `${met.ways.join('; or: ')}.`
              : 'Nothing laid between makes it hold: what is there comes off, or something else is laid.'}{' '}
            It wants {wantsOf(work)}.
          </p>
        )}
      </div>
      {places.length > 0 && (
        <>
          <h3>In this set</h3>
          <ul className={classes.places}>
            {places.slice(0, MOST_PLACES).map((one) => (
              <li key={one.operation.id}>
                <button type="button" className={classes.place} onClick={() => onGo(one)}>
                  {one.words} <small>{nailsWords(one.nails)}</small>
                </button>
              </li>
            ))}
            {places.length > MOST_PLACES && <li>and {places.length - MOST_PLACES} more</li>}
          </ul>
        </>
      )}
      <TextInput
        label={`Search what “${work.words}” may meet`}
        placeholder="slick, powdered, wet …"
        value={search}
        onChange={(event) => setSearch(event.currentTarget.value)}
      />
      {words && (
        <ul className={classes.places} aria-label="Surfaces found">
          {found.slice(0, MOST_FOUND).map((one) => (
            <li key={one.surface}>
              <button type="button" className={classes.place} onClick={() => ask({ surface: one.surface })}>
                <b>{one.reason ? '✕' : '✓'}</b> {one.surface}
              </button>
            </li>
          ))}
          {found.length === 0 && <li>No surface of right work is called so.</li>}
          {found.length > MOST_FOUND && <li>and {found.length - MOST_FOUND} more</li>}
        </ul>
      )}
    </section>
  );
}
