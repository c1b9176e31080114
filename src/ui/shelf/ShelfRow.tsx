'use client';
import '../kit/tableStyles';
import { Checkbox, Table } from '@mantine/core';
import type { ReactNode } from 'react';
import { FAMILIES, lampOf } from '@/core/craft/families';
import { upperFirst } from '@/core/model/letters';
import { tokenColour } from '@/core/model/product';
import type { ShelfItem } from '@/core/model/shelf';
import { ProductFields } from './ProductFields';
import classes from './ShelfView.module.css';

interface Props {
  item: ShelfItem;
  /** How many are left, where they are counted. */
  left: number | undefined;
  open: boolean;
  onOpen: () => void;
  /** Changes the product as it is when the change is kept. */
  onChange: (change: (item: ShelfItem) => unknown) => void;
  chosen: boolean;
  onChoose: (chosen: boolean) => void;
  onDuplicate: ReactNode;
  onRemove: () => void;
}

const EFFECT_WORDS = { film: '', sheer: 'sheer, ', metallic: 'metallic, ' } as const;

/** A product of the shelf: a line of its own, and below it what can be set when it is open. */
export function ShelfRow({
  item,
  left,
  open,
  onOpen,
  onChange,
  chosen,
  onChoose,
  onDuplicate,
  onRemove,
}: Props) {
  const { product } = item;
  const lamp = lampOf(product);
  return (
    <>
      <Table.Tr data-open={open || undefined}>
        <Table.Td className={classes.pick}>
          <Checkbox
            aria-label={`Choose ${product.name}`}
            checked={chosen}
            onChange={(event) => onChoose(event.currentTarget.checked)}
          />
        </Table.Td>
        <Table.Td>
          <button type="button" className={classes.name} aria-expanded={open} onClick={onOpen}>
            <span className={classes.dot} style={{ background: tokenColour(product) }} aria-hidden />
            <bdi>{product.name}</bdi>
          </button>
        </Table.Td>
        <Table.Td>{upperFirst(FAMILIES[product.family].words)}</Table.Td>
        <Table.Td>
          {product.coats_to_cover
            ? `${EFFECT_WORDS[product.effect ?? 'film']}${product.coats_to_cover} ${product.coats_to_cover === 1 ? 'coat' : 'coats'}`
            : ''}
        </Table.Td>
        <Table.Td>{lamp ? `${lamp.cure_s} s` : product.dry_s ? `dries ${product.dry_s} s` : ''}</Table.Td>
        <Table.Td>{left ?? ''}</Table.Td>
        <Table.Td className={classes.ways}>{onDuplicate}</Table.Td>
      </Table.Tr>
      {open && (
        <Table.Tr className={classes.opened}>
          <Table.Td colSpan={7}>
            <ProductFields item={item} onChange={onChange} onRemove={onRemove} />
          </Table.Td>
        </Table.Tr>
      )}
    </>
  );
}
