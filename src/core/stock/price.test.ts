import fc from 'fast-check';
import { centsOf, digitsOf, moneyWords, splitCents } from '../model/money';
import { NO_PRICING, Pricing } from '../model/pricing';
import { priceOf, roundedTo } from './price';

const pricing = fc.record({
  currency: fc.constantFrom('EUR', 'JPY', 'KWD'),
  rate_cents: fc.option(fc.integer({ min: 0, max: 20_000 })),
  by: fc.constantFrom('half' as const, 'nine' as const),
  fixed: fc.array(fc.record({ words: fc.constant('Rent'), cents: fc.integer({ min: 0, max: 5000 }) }), {
    maxLength: 4,
  }),
  material_markup: fc.double({ min: 0, max: 1, noNaN: true }),
  tax_percent: fc.double({ min: 0, max: 50, noNaN: true }),
  tax_included: fc.boolean(),
  rounding: fc.constantFrom('up' as const, 'nearest' as const),
  to_cents: fc.constantFrom(1, 5, 10, 50, 100, 500),
  deposit: fc.double({ min: 0, max: 1, noNaN: true }),
});

describe('a price', () => {
  it('is whole cents that add up, rounded as it is said, its tax a share of it', () => {
    fc.assert(
      fc.property(
        pricing,
        fc.integer({ min: 0, max: 6 * 3600 }),
        fc.integer({ min: 0, max: 20_000 }),
        (asked, seconds, material) => {
          expect(Pricing.safeParse(asked).success).toBe(true);
          const price = priceOf(asked, seconds, material);
          const all = [
            price.total_cents,
            price.tax_cents,
            price.deposit_cents,
            ...price.lines.map(({ cents }) => cents),
          ];
          expect(all.every(Number.isInteger)).toBe(true);
          expect(price.lines.reduce((sum, { cents }) => sum + cents, 0)).toBe(price.total_cents);
          expect(price.total_cents % asked.to_cents).toBe(0);
          const rounding = price.lines.find(({ what }) => what === 'rounding')?.cents ?? 0;
          expect(Math.abs(rounding)).toBeLessThanOrEqual(asked.to_cents + 1);
          // Tax of the price itself, to the cent.
          expect(price.tax_cents).toBeCloseTo(
            price.total_cents - price.total_cents / (1 + asked.tax_percent / 100),
            -0.31,
          );
          expect(price.deposit_cents).toBeLessThanOrEqual(price.total_cents);
          expect(price.deposit_cents).toBeGreaterThanOrEqual(0);
          expect(price.wanting).toEqual(asked.rate_cents === null ? ['rate'] : []);
          // Longer is never cheaper.
          expect(priceOf(asked, seconds + 3600, material).total_cents).toBeGreaterThanOrEqual(
            price.total_cents,
          );
        },
      ),
    );
  });

  it('worked by hand: an hour and a half at 40, material 6.20, laundry 1.50, 20 % tax added, up to the next half', () => {
    const price = priceOf(
      {
        ...NO_PRICING,
        rate_cents: 4000,
        fixed: [{ words: 'Laundry', cents: 150 }],
        tax_percent: 20,
        rounding: 'up',
        to_cents: 50,
        deposit: 0.3,
      },
      5400,
      620,
    );
    // 60.00 + 6.20 + 1.50 = 67.70; with 20 % 81.24, asked 81.50; of it 13.58 tax; 30 % of 81.50 is 24.45, asked 24.50.
    expect(price).toMatchObject({ total_cents: 8150, tax_cents: 1358, deposit_cents: 2450 });
  });

  it('rounds to the next coin and never past it', () => {
    expect(roundedTo(1001, 50, 'up')).toBe(1050);
    expect(roundedTo(1000, 50, 'up')).toBe(1000);
    expect(roundedTo(1024, 50, 'nearest')).toBe(1000);
    expect(roundedTo(0.3 * 1000, 50, 'up')).toBe(300);
  });
});

describe('money', () => {
  it('knows how many digits a currency has, and one that nobody knows has two', () => {
    expect([digitsOf('EUR'), digitsOf('JPY'), digitsOf('KWD'), digitsOf('XQZ')]).toEqual([2, 0, 3, 2]);
    expect(centsOf(9.95, 'EUR')).toBe(995);
    expect(centsOf(950, 'JPY')).toBe(950);
    expect(moneyWords(995, 'EUR')).toBe('€9.95');
    expect(moneyWords(950, 'JPY')).toMatch(/950$/);
  });

  it('is split without a cent lost, each part within a cent of its share', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 1_000_000 }),
        fc.array(fc.double({ min: 0, max: 100, noNaN: true }), { minLength: 1, maxLength: 10 }),
        (cents, weights) => {
          const parts = splitCents(cents, weights);
          expect(parts.reduce((sum, one) => sum + one, 0)).toBe(cents);
          const all = weights.reduce((sum, one) => sum + one, 0);
          if (all > 0)
            parts.forEach((part, i) =>
              expect(Math.abs(part - (cents * weights[i]!) / all)).toBeLessThan(1 + 1e-6),
            );
        },
      ),
    );
  });
});
