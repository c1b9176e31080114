'use client';
import { Button, TextInput } from '@mantine/core';
import { useState } from 'react';
import { BULK, changeAll, type BulkKey } from '@/core/starter/bulk';
import type { ShelfItem } from '@/core/model/shelf';
import { Pick } from '../kit/Pick';
import classes from './ShelfView.module.css';

/** One figure for all chosen products; what has no such figure stays as it is, and is counted. */
export function BulkEdit({
  chosen,
  onPut,
  onRemove,
  onNone,
}: {
  chosen: readonly ShelfItem[];
  onPut: (items: readonly ShelfItem[]) => void;
  onRemove: () => void;
  onNone: () => void;
}) {
  const [key, setKey] = useState<BulkKey>('cure_s');
  const [text, setText] = useState('');
  const changed = text.trim() === '' ? undefined : changeAll(chosen, key, text.trim());
  const count = `${chosen.length} ${chosen.length === 1 ? 'product' : 'products'}`;
  return (
    <form
      className={classes.bulk}
      aria-label="Change all chosen products"
      onSubmit={(event) => {
        event.preventDefault();
        if (!changed?.ok || changed.value.length === 0) return;
        onPut(changed.value);
        setText('');
      }}
    >
      <b>{count}</b>
      <Pick
        aria-label="What to set"
        value={key}
        onChange={(event) => {
          setKey(event.currentTarget.value as BulkKey);
          setText('');
        }}
        data={BULK.map((one) => ({ value: one.key, label: one.words }))}
      />
      <TextInput
        aria-label="For all of them"
        w={200}
        placeholder={BULK.find((one) => one.key === key)?.like}
        value={text}
        error={changed && !changed.ok ? changed.faults[0]!.message : undefined}
        onChange={(event) => setText(event.currentTarget.value)}
      />
      <Button type="submit" disabled={!changed?.ok || changed.value.length === 0}>
        {changed?.ok ? `Set for ${changed.value.length} of ${chosen.length}` : 'Set for all'}
      </Button>
      <span className={classes.grow} />
      <Button variant="default" onClick={onRemove}>
        Take off the shelf
      </Button>
      <Button variant="default" onClick={onNone}>
        Choose none
      </Button>
    </form>
  );
}
