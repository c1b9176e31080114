'use client';
import { TextInput } from '@mantine/core';
import { HELD_UNITS, type HeldUnit, type ShelfItem } from '@/core/model/shelf';
import { Pick } from '../kit/Pick';
import { StoredFigure } from '../kit/StoredFigure';
import { CurrencyPick } from './CurrencyPick';

/** How much of a product is there, what it cost, and how long it is good. */
export function StockOfProduct({
  item,
  onPut,
}: {
  item: ShelfItem;
  onPut: (own: Partial<ShelfItem>) => void;
}) {
  return (
    <>
      <StoredFigure
        label="Left"
        value={item.count ?? ''}
        min={0}
        max={9999}
        onPut={(count) => onPut({ count })}
      />
      <StoredFigure
        label="A full one holds"
        value={item.holds ?? ''}
        min={0.1}
        max={9999}
        onPut={(holds) => onPut({ holds })}
      />
      <Pick
        label="in"
        value={item.holds_in ?? 'mL'}
        data={[...HELD_UNITS]}
        onChange={(event) => onPut({ holds_in: event.currentTarget.value as HeldUnit })}
      />
      <StoredFigure
        label="Density, g/mL"
        value={item.density_g_ml ?? ''}
        min={0.3}
        max={5}
        onPut={(density_g_ml) => onPut({ density_g_ml })}
      />
      <StoredFigure
        label="Price"
        value={item.price ?? ''}
        min={0}
        max={99999}
        onPut={(price) => onPut({ price })}
      />
      <CurrencyPick
        label="Paid in"
        none="As all else"
        value={item.currency ?? ''}
        onPut={(currency) => onPut({ currency: currency || null })}
      />
      <TextInput
        type="date"
        label="Opened"
        defaultValue={item.opened_on ?? ''}
        onBlur={(event) => onPut({ opened_on: event.currentTarget.value || null })}
      />
      <TextInput
        label="Batch"
        defaultValue={item.batch ?? ''}
        maxLength={60}
        onBlur={(event) => onPut({ batch: event.currentTarget.value.trim() || null })}
      />
      <StoredFigure
        label="Good for, months"
        value={item.good_for_months ?? ''}
        min={1}
        max={120}
        onPut={(good_for_months) => onPut({ good_for_months: Math.round(good_for_months) })}
      />
      <TextInput
        type="date"
        label="Use by"
        defaultValue={item.use_by ?? ''}
        onBlur={(event) => onPut({ use_by: event.currentTarget.value || null })}
      />
    </>
  );
}
