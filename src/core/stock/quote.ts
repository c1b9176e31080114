import { buildOf } from '../document/nailContext';
import type { SetDocument } from '../document/document';
import { appointmentWords } from '../model/appointment';
import { dayWords } from '../model/days';
import { moneyWords } from '../model/money';
import { NAILS } from '../model/names';
import { upperFirst } from '../model/letters';
import type { Offered, Pricing } from '../model/pricing';
import { sheetText } from '../plan/clientSheet';
import { whoseWords } from '../timing/rounds';
import type { Price } from './price';

/** What a client is told of a set before she says yes: one line each. */
export interface Quote {
  title: string;
  /** When, how long, and what it costs, each with its own words. */
  facts: { words: string; says: string }[];
  /** What is included, look by look. */
  included: string[];
  small: string[];
}

interface Asked {
  price: Price;
  pricing: Pricing;
  /** Half of such evenings are over by then, nine of ten by this. */
  half_s: number;
  nine_s: number;
  /** The day it is offered. */
  on: string;
}

/** The quote of a set as it is planned and priced now. */
export function quoteOf(set: SetDocument, { price, pricing, half_s, nine_s, on }: Asked): Quote {
  const { currency, tax_percent } = pricing;
  const worked = NAILS.filter((name) => set.nails[name].in_work);
  const looks = set.looks.flatMap(({ id, name }) => {
    const nails = worked.filter((nail) => set.nails[nail].look === id);
    return nails.length > 0 ? [`${upperFirst(name)}: ${whoseWords(nails, worked)}`] : [];
  });
  const builds = [...new Set(worked.map((nail) => buildOf(set, set.nails[nail]).name))];
  return {
    title: set.title,
    facts: [
      ...(set.appointment
        ? [{ words: 'When', says: upperFirst(appointmentWords(set.appointment, new Date(`${on}T12:00:00`))) }]
        : []),
      { words: 'How long', says: `about ${minutes(half_s)}, ${minutes(nine_s)} at most nine times of ten` },
      {
        words: 'Price',
        says: price.wanting.length > 0 ? 'still to be said' : moneyWords(price.total_cents, currency),
      },
      ...(price.deposit_cents > 0
        ? [{ words: 'Paid ahead', says: moneyWords(price.deposit_cents, currency) }]
        : []),
    ],
    included: [
      `${worked.length === 10 ? 'Ten nails' : `${worked.length} nails`}, on ${builds.join(' and ').toLowerCase()}`,
      ...looks,
      'Preparation, everything used, and care at the end',
    ],
    small: [
      tax_percent > 0
        ? `The price includes ${moneyWords(price.tax_cents, currency)} tax at ${tax_percent} %.`
        : 'No tax is stated.',
      `Offered on ${dayWords(on)}.`,
    ],
  };
}

/** The same to be sent as text. */
export function quoteText({ title, facts, included, small }: Quote): string {
  return sheetText({ title, facts, list_words: 'Included', list: included, small });
}

/** What is kept with a set once its quote is given. */
export function offeredOf(quote: Quote, { price, pricing, on }: Asked): Offered {
  return {
    on,
    currency: pricing.currency,
    total_cents: price.total_cents,
    deposit_cents: price.deposit_cents,
    says: quoteText(quote).slice(0, 4000),
  };
}

/** To five minutes, upward: nobody is promised a minute. */
function minutes(seconds: number): string {
  const all = Math.ceil(seconds / 300) * 5;
  const [hours, rest] = [Math.floor(all / 60), all % 60];
  return hours === 0 ? `${all} min` : rest === 0 ? `${hours} h` : `${hours} h ${rest} min`;
}
