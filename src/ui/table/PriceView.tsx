'use client';
import { useCallback, useMemo } from 'react';
import { moneyWords } from '@/core/model/money';
import type { Pricing } from '@/core/model/pricing';
import { materialOf, type Material } from '@/core/stock/cost';
import { priceOf, type Price } from '@/core/stock/price';
import { forecastFor } from '@/workers/planner';
import { usePricing } from '../shelf/useStock';
import { useAnswer } from '../kit/useAnswer';
import { timeWords } from '@/core/model/times';
import { Accents } from './Accents';
import { Asks } from './Asks';
import { Margins } from './Margins';
import { MaterialTable } from './MaterialTable';
import type { TableProps } from './props';
import classes from './TableView.module.css';

/** What a set costs and what it is asked for: time, material, what every set costs, tax. */
export function PriceView(props: TableProps) {
  const { set, plan, needs, stock } = props;
  const { pricing } = usePricing();
  const forecast = useAnswer(useCallback(() => forecastFor(set, plan), [set, plan]));
  const material = useMemo(
    () => materialOf(needs, stock, pricing.currency),
    [needs, stock, pricing.currency],
  );
  const known = typeof forecast === 'object' ? forecast : undefined;
  const seconds = known && (pricing.by === 'half' ? known.half_s : known.nine_s);
  const price = seconds === undefined ? undefined : priceOf(pricing, seconds, material.cents);
  return (
    <>
      <div className={classes.two}>
        <section aria-label="The price">
          <h3>The price</h3>
          {forecast === 'failed' && <p>How long it takes could not be worked out.</p>}
          {forecast === undefined && <p className={classes.soft}>Many evenings are played …</p>}
          {price && seconds !== undefined && (
            <Sum price={price} pricing={pricing} seconds={seconds} material={material} />
          )}
        </section>
        <section aria-label="What I ask">
          <h3>What I ask</h3>
          <Asks key={pricing.currency} pricing={pricing} />
        </section>
      </div>
      <MaterialTable needs={needs} stock={stock} material={material} currency={pricing.currency} />
      {price && price.wanting.length === 0 && (
        <Margins {...props} material={material} price={price} pricing={pricing} />
      )}
      <Accents {...props} material={material} pricing={pricing} />
    </>
  );
}

interface SumProps {
  price: Price;
  pricing: Pricing;
  seconds: number;
  material: Material;
}

function Sum({ price, pricing, seconds, material }: SumProps) {
  const money = (cents: number) => moneyWords(cents, pricing.currency);
  return (
    <>
      <table className={classes.sum} data-testid="price">
        <tbody>
          {price.lines.map(({ what, words, cents }) => (
            <tr key={`${what} ${words}`}>
              <td>
                {words}
                {what === 'work' && (
                  <small className={classes.soft}>
                    {' '}
                    {timeWords(seconds)} at {money(pricing.rate_cents ?? 0)} an hour
                  </small>
                )}
              </td>
              <td>{money(cents)}</td>
            </tr>
          ))}
          <tr data-total>
            <td>{price.wanting.length > 0 ? 'So far' : 'To ask'}</td>
            <td>{money(price.total_cents)}</td>
          </tr>
          {pricing.tax_percent > 0 && pricing.tax_included && (
            <tr>
              <td>of it tax, {pricing.tax_percent} %</td>
              <td>{money(price.tax_cents)}</td>
            </tr>
          )}
          {price.deposit_cents > 0 && (
            <tr>
              <td>Paid ahead</td>
              <td>{money(price.deposit_cents)}</td>
            </tr>
          )}
        </tbody>
      </table>
      {price.wanting.includes('rate') && (
        <p className={classes.look}>▲ Nothing is asked for your time yet: say what an hour is.</p>
      )}
      {material.unpriced.length > 0 && (
        <p className={classes.look}>
          ▲ Not in it, for what they cost or hold is not noted: {named(material.unpriced)}.
        </p>
      )}
      {material.other_currency.length > 0 && (
        <p className={classes.look}>
          ▲ Not in it, for they were paid in other money: {named(material.other_currency)}.
        </p>
      )}
    </>
  );
}

const MOST_NAMED = 6;
function named(all: readonly string[]): string {
  const words = [...new Set(all)];
  const more = words.length - MOST_NAMED;
  return `${words.slice(0, MOST_NAMED).join(', ')}${more > 0 ? ` and ${more} more` : ''}`;
}
