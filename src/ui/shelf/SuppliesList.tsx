'use client';
import '../kit/tableStyles';
import { Button, Table, TextInput } from '@mantine/core';
import { IconPlus } from '@tabler/icons-react';
import { useState } from 'react';
import { readPath, writePath } from '@/core/craft/fieldPath';
import { supplyKindOf } from '@/core/craft/supplies';
import type { Field } from '@/core/craft/technique';
import { lowerFirst } from '@/core/model/letters';
import { MOST_WORDS, tidyWords } from '@/core/model/primitives';
import type { Supply } from '@/core/model/supply';
import { suppliesNow } from '@/core/stock/now';
import type { Taking } from '@/core/stock/taking';
import { changeSupply, putSupplies, takeSupply } from '@/data/supplies';
import { FieldInput } from '../kit/fields/FieldInput';
import { freeId } from '@/core/model/freeId';
import { notify, notKept } from '../kit/notify';
import classes from './ShelfView.module.css';

/** Lamps, tip boxes, inlays, stones, charms or tools: a line each, opened to be changed. */
export function SuppliesList({
  kind,
  supplies,
  takings,
}: {
  kind: Supply['kind'];
  supplies: readonly Supply[];
  takings: readonly Taking[];
}) {
  const [open, setOpen] = useState<string>();
  const { words, many, fields, fresh, says } = supplyKindOf(kind);
  const now = new Map(suppliesNow({ supplies, takings }).map((one) => [one.id, one]));
  const own = supplies.filter((one) => one.kind === kind);
  const put = (one: Supply) => void putSupplies([one]).catch(notKept);
  const changeOf = (id: string) => (change: (now: Supply) => unknown) =>
    void changeSupply(id, change).catch(notKept);
  function add() {
    const made = fresh(freeId(lowerFirst(words).replace(/\s+/g, '-'), supplies));
    put(made);
    setOpen(made.id);
  }
  async function remove(one: Supply) {
    await takeSupply(one.id);
    notify(
      <>
        “{one.name}” is off the shelf. Sets that carry it keep their own copy.{' '}
        <Button variant="default" onClick={() => put(one)}>
          Put it back
        </Button>
      </>,
    );
  }
  return (
    <>
      <Table className={classes.table}>
        <Table.Tbody>
          {own.map((one) => (
            <SupplyRows
              key={one.id}
              one={one}
              says={says(now.get(one.id) ?? one)}
              open={open === one.id}
              onOpen={() => setOpen(open === one.id ? undefined : one.id)}
            >
              <SupplyFields one={one} fields={fields} onChange={changeOf(one.id)} />
              <Button variant="subtle" color="red" onClick={() => void remove(one).catch(notKept)}>
                Take off the shelf
              </Button>
            </SupplyRows>
          ))}
        </Table.Tbody>
      </Table>
      {own.length === 0 && <p className={classes.none}>No {lowerFirst(many)} yet.</p>}
      <Button variant="default" mt="md" leftSection={<IconPlus size={18} />} onClick={add}>
        One more {lowerFirst(words)}
      </Button>
    </>
  );
}

/** The fields of an open supply. What is typed stands here at once, and in the store as soon as it is written. */
function SupplyFields({
  one,
  fields,
  onChange,
}: {
  one: Supply;
  fields: readonly Field[];
  onChange: (change: (now: Supply) => unknown) => void;
}) {
  const [draft, setDraft] = useState(one);
  const put = (path: string, value: unknown) => {
    setDraft((before) => writePath(before, path, value) as Supply);
    onChange((now) => writePath(now, path, value));
  };
  return (
    <>
      <TextInput
        label="Name"
        maxLength={MOST_WORDS}
        defaultValue={one.name}
        onBlur={(event) => {
          const name = tidyWords(event.currentTarget.value);
          if (name) put('name', name);
        }}
        onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
      />
      {fields.map((field) => (
        <FieldInput
          key={`${field.kind} ${field.path}`}
          field={field}
          value={readPath(draft, field.path) ?? (field.kind === 'optional' ? null : '')}
          // What is not noted is not there.
          onChange={(next) => put(field.path, next === '' ? undefined : next)}
        />
      ))}
    </>
  );
}

function SupplyRows({
  one,
  says,
  open,
  onOpen,
  children,
}: {
  one: Supply;
  says: string;
  open: boolean;
  onOpen: () => void;
  children: React.ReactNode;
}) {
  return (
    <>
      <Table.Tr data-open={open || undefined}>
        <Table.Td w="40%">
          <button type="button" className={classes.name} aria-expanded={open} onClick={onOpen}>
            {'colour' in one && (
              <span className={classes.dot} style={{ background: one.colour }} aria-hidden />
            )}
            <bdi>{one.name}</bdi>
          </button>
        </Table.Td>
        <Table.Td>{says}</Table.Td>
      </Table.Tr>
      {open && (
        <Table.Tr className={classes.opened}>
          <Table.Td colSpan={2}>
            <div className={classes.fields}>{children}</div>
          </Table.Td>
        </Table.Tr>
      )}
    </>
  );
}
