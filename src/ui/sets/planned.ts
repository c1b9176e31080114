import type { Client } from '@/core/model/client';
import type { Planned } from '@/core/wear/week';
import type { Listed } from '@/data/listed';

/** Sets as they stand in a week, each with whose hands it is for. */
export function plannedOf(sets: readonly Listed[], clients: readonly Client[]): Planned[] {
  const whose = new Map(clients.flatMap(({ id, sets: own }) => own.map((set) => [set, id] as const)));
  return sets.flatMap((one): Planned[] => {
    if (one.kind !== 'set') return [];
    const { title, appointment, state } = one.stored.document;
    return [{ id: one.id, title, appointment, state, client: whose.get(one.id) ?? null }];
  });
}
