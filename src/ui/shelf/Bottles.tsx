'use client';
import { Button } from '@mantine/core';
import { IconCopy } from '@tabler/icons-react';
import { useState } from 'react';
import { byColour } from '@/core/colour/order';
import { FAMILIES } from '@/core/craft/families';
import { upperFirst } from '@/core/model/letters';
import { PRODUCT_FAMILIES, type ProductFamily } from '@/core/model/product';
import type { ShelfItem } from '@/core/model/shelf';
import { Bottle, MetalSheen } from './Bottle';
import { ProductFields } from './ProductFields';
import classes from './Bottles.module.css';

interface Props {
  items: readonly ShelfItem[];
  /** How many are left of one, where they are counted. */
  leftOf: (item: ShelfItem) => number | undefined;
  open: string | undefined;
  onOpen: (id: string | undefined) => void;
  onChange: (id: string, change: (item: ShelfItem) => unknown) => void;
  onDuplicate: (item: ShelfItem) => void;
  onRemove: (item: ShelfItem) => void;
}

/** So many of a family stand there at once. */
const MOST = 60;

/** The shelf as it stands on the wall: a board for each family, its bottles by their colours. */
export function Bottles({ items, leftOf, open, onOpen, onChange, onDuplicate, onRemove }: Props) {
  const [all, setAll] = useState<ProductFamily>();
  const taken = items.find((one) => one.product.id === open);
  return (
    <div className={classes.shelf} data-taken={taken !== undefined || undefined}>
      <div className={classes.boards}>
        <MetalSheen />
        {PRODUCT_FAMILIES.map((family) => {
          const own = items.filter((one) => one.product.family === family).sort(inOrder);
          if (own.length === 0) return null;
          const shown = own.filter((one, i) => i < MOST || one.product.id === open || all === family);
          return (
            <section key={family} aria-label={upperFirst(FAMILIES[family].words)}>
              <h2>{upperFirst(FAMILIES[family].words)}</h2>
              <ul className={classes.board}>
                {shown.map((one) => (
                  <li key={one.product.id}>
                    <button
                      type="button"
                      className={classes.bottle}
                      aria-label={one.product.name}
                      aria-expanded={one.product.id === open}
                      onClick={() => onOpen(one.product.id === open ? undefined : one.product.id)}
                    >
                      <Bottle product={one.product} />
                      <bdi>{one.product.name}</bdi>
                      {leftOf(one) !== undefined && <small>{leftOf(one)} left</small>}
                    </button>
                  </li>
                ))}
              </ul>
              {shown.length < own.length && (
                <Button variant="default" mt={8} onClick={() => setAll(family)}>
                  {own.length - shown.length} more
                </Button>
              )}
            </section>
          );
        })}
      </div>
      {taken && (
        <aside
          key={taken.product.id}
          className={classes.hand}
          aria-label={`${taken.product.name}, in the hand`}
        >
          <div className={classes.label}>
            <Bottle product={taken.product} />
            <div>
              <h2>
                <bdi>{taken.product.name}</bdi>
              </h2>
              <p>{upperFirst(FAMILIES[taken.product.family].words)}</p>
              <Button
                variant="default"
                aria-label={`Duplicate ${taken.product.name}`}
                leftSection={<IconCopy size={18} />}
                onClick={() => onDuplicate(taken)}
              >
                Duplicate
              </Button>
            </div>
          </div>
          <ProductFields
            item={taken}
            onChange={(change) => onChange(taken.product.id, change)}
            onRemove={() => onRemove(taken)}
          />
        </aside>
      )}
    </div>
  );
}

/** By colour where there is one, else by name. */
function inOrder({ product: a }: ShelfItem, { product: b }: ShelfItem): number {
  if (a.colour && b.colour) return byColour(a.colour, b.colour);
  if (a.colour || b.colour) return a.colour ? -1 : 1;
  return a.name.localeCompare(b.name, 'en', { numeric: true });
}
