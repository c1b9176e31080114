'use client';
import { useEffect, useState } from 'react';
import type { Client } from '@/core/model/client';
import { watchClients } from '@/data/clients';

/** Every client's card as it is; undefined until they are read, `fault` where they cannot be. */
export function useClients(): { clients: Client[] | undefined; fault: unknown } {
  const [clients, setClients] = useState<Client[]>();
  const [fault, setFault] = useState<unknown>();
  useEffect(() => watchClients(setClients, setFault), []);
  return { clients, fault };
}
