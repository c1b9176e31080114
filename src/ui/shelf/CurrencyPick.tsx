'use client';
import { Pick } from '../kit/Pick';

/** Every currency that the browser knows, by its three letters (ISO 4217). */
const CURRENCIES: readonly string[] =
  typeof Intl.supportedValuesOf === 'function' ? Intl.supportedValuesOf('currency') : ['EUR', 'GBP', 'USD'];

interface Props {
  label: string;
  /** What it is called that none is said; without it one is always said. */
  none?: string;
  value: string;
  onPut: (currency: string) => void;
}

export function CurrencyPick({ label, none, value, onPut }: Props) {
  const known = value === '' || CURRENCIES.includes(value) ? CURRENCIES : [value, ...CURRENCIES];
  return (
    <Pick
      label={label}
      value={value}
      data={[
        ...(none ? [{ value: '', label: none }] : []),
        ...known.map((one) => ({ value: one, label: one })),
      ]}
      onChange={(event) => onPut(event.currentTarget.value)}
    />
  );
}
