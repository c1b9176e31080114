'use client';
import type { RuledOut } from '@/core/judge/notOnTheseHands';
import type { Client } from '@/core/model/client';
import { upperFirst } from '@/core/model/letters';
import { SEVERITY } from '../kit/words';
import { pathOf } from '../kit/route';
import { Go } from '../kit/Go';
import note from '../kit/FindingNote.module.css';

/** What a client's card rules out of a plan, product by product. */
export function RuledOutNote({ client, ruledOut }: { client: Client; ruledOut: readonly RuledOut[] }) {
  const { word, mark, variable } = SEVERITY.warn;
  return (
    <article
      className={note.note}
      data-code="not-on-these-hands"
      style={{ '--tone': variable } as React.CSSProperties}
    >
      <p className={note.head}>
        <span aria-hidden>{mark}</span> {word} · not on these hands
      </p>
      {ruledOut.map(({ product, words }) => (
        <p key={product.id} className={note.message}>
          {upperFirst(product.name)}: the card of {client.name} says “{words}”.
        </p>
      ))}
      <p className={note.reason}>
        Take another product, or ask {client.name} first. A reaction is seen by a doctor, not tried again.{' '}
        <Go href={pathOf({ kind: 'clients', id: client.id })}>The card</Go>
      </p>
    </article>
  );
}
