'use client';
import { useMemo, type ReactNode } from 'react';
import { FieldHostContext, type FieldHost } from '../kit/fields/host';
import { useStudio, useStudioStore } from '../studio/studio';
import { pickerOf } from '@/core/starter/picker';
import { techniqueOf, type Element } from '@/core/craft/techniques';
import { tokenColour } from '@/core/model/product';
import type { Look } from '@/core/document/document';
import { elementWords } from './elementWords';
import { PrintInput } from './PrintInput';
import { ProductInput } from './ProductInput';
import { RegionInput } from './RegionInput';

/** Fields of the open set: its kit to choose from, its nails to draw on. */
export function FieldsOfSet({
  look,
  element,
  children,
}: {
  look?: Look;
  element?: string;
  children: ReactNode;
}) {
  const store = useStudioStore();
  const openPart = useStudio((s) => s.openPart);
  const products = useStudio((s) => s.set.kit.products);
  const host = useMemo<FieldHost>(
    () => ({
      pick: (wanted) => pickerOf(store.getState().set)(wanted),
      colourOf: (id) => {
        const product = products.find((one) => one.id === id);
        return product && tokenColour(product);
      },
      Product: ProductInput,
      Region: RegionInput,
      Print: PrintInput,
      others: (look?.elements ?? [])
        .filter((one) => one.id !== element && partsOff(one))
        .map((one) => ({ value: one.id, label: elementWords(one, look!, products) })),
      openPart,
      onOpenPart: (part) => store.getState().openPartAt(part),
    }),
    [store, products, openPart, look, element],
  );
  return <FieldHostContext value={host}>{children}</FieldHostContext>;
}

/** Whether it has a part of the nail that others can be kept on. */
function partsOff(element: Element): boolean {
  return (
    techniqueOf(element.kind).part !== undefined || ('region' in element && element.region.kind !== 'whole')
  );
}
