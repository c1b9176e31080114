'use client';
import type { Client } from '@/core/model/client';
import { watchClients } from '@/data/clients';
import { useWatched } from '../kit/useWatched';

const nothing = () => Promise.resolve();

/** For whom a set is made, where that is said. */
export function useClientOf(set: string): Client | undefined {
  return useClients().clients?.find((one) => one.sets.includes(set));
}

/** Every client's card as it is; undefined until they are read, `fault` where they cannot be. */
export function useClients(): { clients: Client[] | undefined; fault: unknown } {
  const { value, fault } = useWatched(nothing, watchClients);
  return { clients: value, fault };
}
