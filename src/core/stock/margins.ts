import type { SetDocument } from '../document/document';
import { splitCents } from '../model/money';
import { NAILS, type NailName } from '../model/names';
import type { Plan } from '../plan/planSet';
import { whatCosts } from '../plan/whatCosts';
import { shareOf, type Material } from './cost';
import type { Need } from './needs';

/** What a look costs, beside its part of the price. */
export interface Margin {
  look: string;
  name: string;
  nails: NailName[];
  /** Its nails' part of the price before tax: each nail's is the same. */
  price_cents: number;
  material_cents: number;
  work_cents: number;
  /** What is left of the price. */
  margin_cents: number;
}

/**
 * What each look leaves of a price before tax: the price is of ten nails alike, but their work is not. What is waited for is shared
 * by all nails. The parts add up to the whole, to the cent.
 */
export function marginsOf(
  set: SetDocument,
  plan: Pick<Plan, 'operations' | 'sitting'>,
  needs: readonly Need[],
  material: Material,
  { net_cents, work_cents }: { net_cents: number; work_cents: number },
): Margin[] {
  const worn = set.looks.flatMap((look) => {
    const nails = NAILS.filter((nail) => set.nails[nail].in_work && set.nails[nail].look === look.id);
    return nails.length > 0 ? [{ look, nails }] : [];
  });
  const busy = new Map(
    whatCosts(set, plan, 'nail').flatMap(({ nail, seconds }) => (nail ? [[nail, seconds] as const] : [])),
  );
  const prices = splitCents(
    net_cents,
    worn.map(({ nails }) => nails.length),
  );
  const works = splitCents(
    work_cents,
    worn.map(({ nails }) => nails.reduce((sum, nail) => sum + (busy.get(nail) ?? 0), 0)),
  );
  const materials = splitCents(
    material.cents,
    worn.map(({ nails }) => shareOf(material, needs, ({ nail }) => nails.includes(nail))),
  );
  return worn.map(({ look, nails }, i) => ({
    look: look.id,
    name: look.name,
    nails,
    price_cents: prices[i]!,
    material_cents: materials[i]!,
    work_cents: works[i]!,
    margin_cents: prices[i]! - materials[i]! - works[i]!,
  }));
}
