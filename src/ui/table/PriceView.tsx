'use client';
import '../kit/tableStyles';
import { ActionIcon, Button, Switch, Table, TextInput } from '@mantine/core';
import { IconPlus, IconTrash } from '@tabler/icons-react';
import { useCallback, useMemo } from 'react';
import { centsOf, digitsOf, moneyWords } from '@/core/model/money';
import { tidyWords } from '@/core/model/primitives';
import { nailsWords } from '@/core/model/names';
import type { Pricing } from '@/core/model/pricing';
import { materialOf, type Material } from '@/core/stock/cost';
import { marginsOf } from '@/core/stock/margins';
import { priceOf, type Price } from '@/core/stock/price';
import { changePricing } from '@/data/pricing';
import { accentsFor, forecastFor } from '@/workers/planner';
import { CurrencyPick } from '../shelf/CurrencyPick';
import { usePricing } from '../shelf/useStock';
import { Choice } from '../kit/Inputs';
import { notKept } from '../kit/notify';
import { StoredFigure } from '../kit/StoredFigure';
import { useAnswer } from '../kit/useAnswer';
import { timeWords } from '../kit/words';
import { MaterialTable } from './MaterialTable';
import type { TableProps } from './props';
import classes from './TableView.module.css';

const put = (change: Partial<Pricing>) => void changePricing(change).catch(notKept);

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

function Asks({ pricing }: { pricing: Pricing }) {
  const { currency } = pricing;
  const per = 10 ** digitsOf(currency);
  return (
    <>
      <div className={classes.asks}>
        <CurrencyPick label="Money" value={currency} onPut={(next) => put({ currency: next })} />
        <StoredFigure
          label={`An hour, ${currency}`}
          value={pricing.rate_cents === null ? '' : pricing.rate_cents / per}
          min={0}
          max={9999}
          onPut={(rate) => put({ rate_cents: centsOf(rate, currency) })}
        />
        <Choice
          label="Time by"
          value={pricing.by}
          choices={[
            { value: 'half', label: 'Half of evenings' },
            { value: 'nine', label: 'Nine of ten' },
          ]}
          onChange={(by) => put({ by: by as Pricing['by'] })}
        />
        <StoredFigure
          label="On material, %"
          value={Math.round(pricing.material_markup * 100)}
          min={0}
          max={500}
          onPut={(share) => put({ material_markup: share / 100 })}
        />
        <StoredFigure
          label="Tax, %"
          value={pricing.tax_percent}
          min={0}
          max={50}
          onPut={(tax_percent) => put({ tax_percent })}
        />
        <Switch
          label="Tax is within"
          checked={pricing.tax_included}
          onChange={({ currentTarget }) => put({ tax_included: currentTarget.checked })}
        />
        <Choice
          label="Rounded"
          value={pricing.rounding}
          choices={[
            { value: 'nearest', label: 'To the nearest' },
            { value: 'up', label: 'Up to the next' },
          ]}
          onChange={(rounding) => put({ rounding: rounding as Pricing['rounding'] })}
        />
        <StoredFigure
          label={`of, ${currency}`}
          value={pricing.to_cents / per}
          min={1 / per}
          max={1000}
          onPut={(to) => put({ to_cents: Math.max(1, centsOf(to, currency)) })}
        />
        <StoredFigure
          label="Paid ahead, %"
          value={Math.round(pricing.deposit * 100)}
          min={0}
          max={100}
          onPut={(share) => put({ deposit: share / 100 })}
        />
      </div>
      {pricing.fixed.map(({ words, cents }, i) => {
        const change = (own: Partial<Pricing['fixed'][number]>) =>
          put({ fixed: pricing.fixed.map((one, j) => (j === i ? { ...one, ...own } : one)) });
        return (
          <div key={`${i} ${words} ${cents}`} className={classes.fixed}>
            <TextInput
              label={i === 0 ? 'Every set costs besides' : undefined}
              aria-label={`Cost ${i + 1}`}
              defaultValue={words}
              maxLength={120}
              onBlur={(event) => {
                const next = tidyWords(event.currentTarget.value);
                if (next && next !== words) change({ words: next });
              }}
            />
            <StoredFigure
              label={`Cost ${i + 1}, ${currency}`}
              quiet
              value={cents / per}
              min={0}
              max={99999}
              onPut={(amount) => change({ cents: centsOf(amount, currency) })}
            />
            <ActionIcon
              variant="subtle"
              color="gray"
              aria-label={`Take out ${words}`}
              onClick={() => put({ fixed: pricing.fixed.filter((_, j) => j !== i) })}
            >
              <IconTrash size={20} />
            </ActionIcon>
          </div>
        );
      })}
      {pricing.fixed.length < 12 && (
        <Button
          variant="default"
          mt="sm"
          leftSection={<IconPlus size={18} />}
          onClick={() => put({ fixed: [...pricing.fixed, { words: 'Laundry', cents: 0 }] })}
        >
          A cost of every set
        </Button>
      )}
    </>
  );
}

/** What each look leaves of the price. */
function Margins({
  set,
  plan,
  needs,
  material,
  price,
  pricing,
}: TableProps & { material: Material; price: Price; pricing: Pricing }) {
  const work = price.lines.find(({ what }) => what === 'work')?.cents ?? 0;
  const margins = marginsOf(set, plan, needs, material, {
    net_cents: price.total_cents - price.tax_cents,
    work_cents: work,
  });
  const money = (cents: number) => moneyWords(cents, pricing.currency);
  if (margins.length === 0) return null;
  return (
    <section aria-label="What each look leaves">
      <h3>What each look leaves</h3>
      <div className={classes.across}>
        <Table className={classes.table}>
          <Table.Thead>
            <Table.Tr>
              <Table.Th>Look</Table.Th>
              <Table.Th className={classes.figure}>Of the price</Table.Th>
              <Table.Th className={classes.figure}>Its work</Table.Th>
              <Table.Th className={classes.figure}>Its material</Table.Th>
              <Table.Th className={classes.figure}>Leaves</Table.Th>
            </Table.Tr>
          </Table.Thead>
          <Table.Tbody>
            {margins.map((one) => (
              <Table.Tr key={one.look}>
                <Table.Td>
                  {one.name}, {one.nails.length === 1 ? 'one nail' : `${one.nails.length} nails`}
                </Table.Td>
                <Table.Td className={classes.figure}>{money(one.price_cents)}</Table.Td>
                <Table.Td className={classes.figure}>{money(one.work_cents)}</Table.Td>
                <Table.Td className={classes.figure}>{money(one.material_cents)}</Table.Td>
                <Table.Td className={`${classes.figure} ${one.margin_cents < 0 ? classes.bad : ''}`}>
                  {money(one.margin_cents)}
                </Table.Td>
              </Table.Tr>
            ))}
          </Table.Tbody>
        </Table>
      </div>
    </section>
  );
}

/** What each accent costs, the set planned without it. */
function Accents({ set, stock, material, pricing }: TableProps & { material: Material; pricing: Pricing }) {
  const accents = useAnswer(useCallback(() => accentsFor(set), [set]));
  const money = (cents: number) => moneyWords(cents, pricing.currency);
  if (accents === 'failed') return null;
  return (
    <section aria-label="What each accent costs">
      <h3>What each accent costs</h3>
      {!accents && <p className={classes.soft}>The set is planned without each …</p>}
      {accents?.length === 0 && <p className={classes.soft}>No look has an accent.</p>}
      {accents && accents.length > 0 && (
        <div className={classes.across}>
          <Table className={classes.table} data-testid="accents">
            <Table.Thead>
              <Table.Tr>
                <Table.Th>Accent</Table.Th>
                <Table.Th>On</Table.Th>
                <Table.Th className={classes.figure}>Time</Table.Th>
                <Table.Th className={classes.figure}>Material</Table.Th>
                <Table.Th className={classes.figure}>Together</Table.Th>
              </Table.Tr>
            </Table.Thead>
            <Table.Tbody>
              {accents.map((one) => {
                const saved = Math.max(
                  0,
                  material.cents - materialOf(one.needs, stock, pricing.currency).cents,
                );
                const work = Math.round(((pricing.rate_cents ?? 0) * one.seconds) / 3600);
                return (
                  <Table.Tr key={`${one.look} ${one.element}`}>
                    <Table.Td>{one.words}</Table.Td>
                    <Table.Td>{nailsWords(one.nails)}</Table.Td>
                    <Table.Td className={classes.figure}>{timeWords(one.seconds)}</Table.Td>
                    <Table.Td className={classes.figure}>{money(saved)}</Table.Td>
                    <Table.Td className={classes.figure}>{money(saved + work)}</Table.Td>
                  </Table.Tr>
                );
              })}
            </Table.Tbody>
          </Table>
        </div>
      )}
    </section>
  );
}
