'use client';
import { ActionIcon, Button, Switch, TextInput } from '@mantine/core';
import { IconPlus, IconTrash } from '@tabler/icons-react';
import { centsOf, digitsOf } from '@/core/model/money';
import { tidyWords } from '@/core/model/primitives';
import type { Pricing } from '@/core/model/pricing';
import { changePricing } from '@/data/pricing';
import { CurrencyPick } from '../shelf/CurrencyPick';
import { Choice } from '../kit/Inputs';
import { notKept } from '../kit/notify';
import { StoredFigure } from '../kit/StoredFigure';
import classes from './TableView.module.css';

const put = (change: Partial<Pricing>) => void changePricing(change).catch(notKept);

/** What the artist asks: for an hour, on material, for every set; tax, rounding, what is paid ahead. */
export function Asks({ pricing }: { pricing: Pricing }) {
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
