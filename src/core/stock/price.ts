import type { Pricing } from '../model/pricing';

/** A line of a price. */
export interface PriceLine {
  what: 'work' | 'material' | 'fixed' | 'tax' | 'rounding';
  words: string;
  cents: number;
}

/** A price in whole cents: the lines add up to the total. */
export interface Price {
  lines: PriceLine[];
  total_cents: number;
  /** Of the total. */
  tax_cents: number;
  deposit_cents: number;
  /** What nobody has said, so that the price is short of it. */
  wanting: 'rate'[];
}

/** An amount to the next coin. */
export function roundedTo(cents: number, to_cents: number, how: Pricing['rounding']): number {
  // A sum of shares may stand a hair above a whole.
  const steps = Math.round((cents / to_cents) * 1e6) / 1e6;
  return (how === 'up' ? Math.ceil(steps) : Math.round(steps)) * to_cents;
}

/**
 * The price of a sitting so long with material at such a cost. Tax is added, or is within, as stated; the total is rounded, and
 * the rounding is a line of its own, so that every sum is whole.
 */
export function priceOf(pricing: Pricing, seconds: number, material_cents: number): Price {
  const { rate_cents, fixed, material_markup, tax_percent, tax_included, rounding, to_cents } = pricing;
  const lines: PriceLine[] = [];
  if (rate_cents !== null)
    lines.push({ what: 'work', words: 'Time', cents: Math.round((rate_cents * seconds) / 3600) });
  lines.push({
    what: 'material',
    words: 'Material',
    cents: Math.round(material_cents * (1 + material_markup)),
  });
  for (const one of fixed) lines.push({ what: 'fixed', words: one.words, cents: one.cents });
  const sum = lines.reduce((all, one) => all + one.cents, 0);
  const added = tax_included ? 0 : Math.round((sum * tax_percent) / 100);
  const total_cents = roundedTo(sum + added, to_cents, rounding);
  const net = Math.round(total_cents / (1 + tax_percent / 100));
  const tax_cents = total_cents - net;
  if (!tax_included && tax_percent > 0)
    lines.push({ what: 'tax', words: `Tax, ${tax_percent} %`, cents: tax_cents });
  const so_far = lines.reduce((all, one) => all + one.cents, 0);
  if (total_cents !== so_far) lines.push({ what: 'rounding', words: 'Rounded', cents: total_cents - so_far });
  return {
    lines,
    total_cents,
    tax_cents,
    deposit_cents: Math.min(total_cents, roundedTo(total_cents * pricing.deposit, to_cents, rounding)),
    wanting: rate_cents === null ? ['rate'] : [],
  };
}
