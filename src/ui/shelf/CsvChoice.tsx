'use client';
import { Button, Modal } from '@mantine/core';
import type { ShelfItem } from '@/core/model/shelf';
import { shelfChanges } from '@/core/files/shelfChanges';
import classes from './ShelfView.module.css';

interface Props {
  name: string;
  items: readonly ShelfItem[];
  shelf: readonly ShelfItem[];
  onTake: (items: readonly ShelfItem[]) => void;
  onClose: () => void;
}

const SHOWN = 12;

/** What a list would change on the shelf, before anything is. */
export function CsvChoice({ name, items, shelf, onTake, onClose }: Props) {
  const { fresh, changed, same } = shelfChanges(items, shelf);
  const brings = fresh.length + changed.length;
  return (
    <Modal opened onClose={onClose} title="Take in a list" size="lg" centered>
      <p>
        {name}: {fresh.length} new, {changed.length} changed, {same} as they are. Nothing is taken off the
        shelf.
      </p>
      <ul className={classes.changes}>
        {fresh.slice(0, SHOWN).map(({ product }) => (
          <li key={product.id}>
            <b>New:</b> <bdi>{product.name}</bdi>
          </li>
        ))}
        {changed.slice(0, SHOWN).map(({ item, columns }) => (
          <li key={item.product.id}>
            <b>
              <bdi>{item.product.name}</bdi>:
            </b>{' '}
            {columns
              .map(({ column, was, is }) => `${column} ${was || 'nothing'} → ${is || 'nothing'}`)
              .join(', ')}
          </li>
        ))}
        {brings > SHOWN * 2 && <li>and more</li>}
      </ul>
      <Button
        fullWidth
        disabled={brings === 0}
        onClick={() => {
          onTake([...fresh, ...changed.map(({ item }) => item)]);
          onClose();
        }}
      >
        {brings === 0 ? 'Nothing to take in' : `Take in ${brings} ${brings === 1 ? 'product' : 'products'}`}
      </Button>
    </Modal>
  );
}
