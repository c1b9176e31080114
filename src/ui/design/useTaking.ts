'use client';
import type { Product } from '@/core/model/product';
import { onShelf } from '@/core/starter/shelf';
import { putOnShelf } from '@/data/shelf';
import { notKept } from '../kit/notify';
import { useGesture } from '../kit/useGesture';
import { useStudioStore } from '../studio/studio';

/** Takes a product for an element: the set carries it from then on, and both are one step of undo. */
export function useTaking(onTaken: (id: string, gesture: string) => void) {
  const store = useStudioStore();
  const gesture = useGesture();
  function take(product: Product): void {
    gesture.begin();
    const { set, change } = store.getState();
    if (!set.kit.products.some((one) => one.id === product.id))
      change({ kind: 'put-product', product }, gesture.id());
    onTaken(product.id, gesture.id());
  }
  return {
    take,
    /** One that was just made: it stands on the shelf too, and the set carries it whatever becomes of the shelf. */
    takeNew: (product: Product): void => {
      void putOnShelf([onShelf(product)]).catch(notKept);
      take(product);
    },
  };
}
