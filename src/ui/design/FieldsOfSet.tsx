'use client';
import { useMemo, type ReactNode } from 'react';
import { FieldHostContext, type FieldHost } from '../kit/fields/host';
import { useStudio, useStudioStore } from '../studio/studio';
import { pickerOf } from '@/core/starter/picker';
import { ProductInput } from './ProductInput';
import { RegionInput } from './RegionInput';

/** Fields of the open set: its kit to choose from, its nails to draw on. */
export function FieldsOfSet({ children }: { children: ReactNode }) {
  const store = useStudioStore();
  const openPart = useStudio((s) => s.openPart);
  const products = useStudio((s) => s.set.kit.products);
  const host = useMemo<FieldHost>(
    () => ({
      pick: (wanted) => pickerOf(store.getState().set)(wanted),
      colourOf: (id) => products.find((one) => one.id === id)?.colour,
      Product: ProductInput,
      Region: RegionInput,
      openPart,
      onOpenPart: (part) => store.getState().openPartAt(part),
    }),
    [store, products, openPart],
  );
  return <FieldHostContext value={host}>{children}</FieldHostContext>;
}
