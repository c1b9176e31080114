'use client';
import { useMemo } from 'react';
import { notOnTheseHands, type RuledOut } from '@/core/judge/notOnTheseHands';
import type { Client } from '@/core/model/client';
import { NAILS } from '@/core/model/names';
import { inOrderOfUse } from '@/core/plan/inOrderOfUse';
import { useSettled, useStudio } from '../studio/studio';
import { useClientOf } from './useClients';

/** For whom the set at hand is made, and which products of its sitting their card rules out. */
export function useRuledOut(): { client: Client | undefined; ruledOut: RuledOut[] } {
  const id = useStudio((s) => s.set.id);
  const products = useSettled((set) => set.kit.products);
  const plan = useStudio((s) => s.plan);
  const client = useClientOf(id);
  const card = client?.sensitivities.trim();
  const ruledOut = useMemo(() => {
    if (!card || !plan) return [];
    const operations = NAILS.flatMap((name) => plan.operations[name]);
    return notOnTheseHands(card, inOrderOfUse(plan.rounds, operations, products));
  }, [card, plan, products]);
  return { client, ruledOut };
}
