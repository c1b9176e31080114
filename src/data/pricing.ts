import { liveQuery } from 'dexie';
import { NO_PRICING, Pricing } from '@/core/model/pricing';
import { db } from './database';
import { PRICING, readPricing } from './tables';

/** What the artist asks for her work, each time it changes; what is not one, or was never said, asks nothing. */
export function watchPricing(
  onChange: (pricing: Pricing) => void,
  onError: (error: unknown) => void,
): () => void {
  const subscription = liveQuery(pricingNow).subscribe(onChange, onError);
  return () => subscription.unsubscribe();
}

export async function pricingNow(): Promise<Pricing> {
  return readPricing((await db().facts.get(PRICING))?.value) ?? NO_PRICING;
}

/** Changes what is asked as it is now; what comes out wrong is not kept. */
export async function changePricing(change: Partial<Pricing>): Promise<void> {
  await db().transaction('rw', db().facts, async () => {
    const next = Pricing.safeParse({ ...(await pricingNow()), ...change });
    if (next.success) await db().facts.put({ key: PRICING, value: JSON.stringify(next.data) });
  });
}
