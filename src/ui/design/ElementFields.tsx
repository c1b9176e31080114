'use client';
import { ActionIcon, Button, Checkbox, NativeSelect, TextInput } from '@mantine/core';
import { IconPlus, IconX } from '@tabler/icons-react';
import { useState } from 'react';
import { readPath, writePath } from '@/core/craft/fieldPath';
import { readFigures } from '@/core/craft/figures';
import { supplyKindOf } from '@/core/craft/supplies';
import { contextOf } from '@/core/compile/prepare';
import type { Fitting } from '@/core/craft/context';
import type { Field, Neighbour } from '@/core/craft/technique';
import { techniqueOf, type Element } from '@/core/craft/techniques';
import type { Look } from '@/core/document/document';
import type { Region } from '@/core/model/region';
import { FadePlan } from './FadePlan';
import { freshProducts } from './fresh';
import { ProductInput } from './ProductInput';
import { RegionInput } from './RegionInput';
import { ToldApart } from './ToldApart';
import { Choice, ColourInput, FigureInput } from '../kit/Inputs';
import { useSupplies } from '../shelf/useShelf';
import { useStudio, useStudioStore } from '../studio/studio';
import { useEditing } from './useEditing';
import { usePen } from './usePen';
import classes from './DesignView.module.css';

/** The editor of one element, made from the fields its technique declares. */
export function ElementFields({ look, element: ofLook }: { look: Look; element: Element }) {
  const { element, own, whose, put, clear } = useEditing(look, ofLook);
  return (
    <div className={classes.fields}>
      {own && (
        <p className={classes.alone}>
          On the {whose} only.{' '}
          <Button variant="default" onClick={clear}>
            As the look has it
          </Button>
        </p>
      )}
      <FromShelf element={element} onTake={put} />
      <FadePlan element={element} />
      <Arrangements look={look} element={element} onLay={put} />
      {fieldsOf(element).map((field) => (
        <FieldInput
          key={`${field.kind} ${field.path}`}
          field={field}
          value={readPath(element, field.path)}
          fitting={'fit' in element ? element : undefined}
          onChange={(value, gesture) => put(writePath(element, field.path, value), gesture)}
        />
      ))}
      <ToldApart look={look} element={element} />
    </div>
  );
}

/** The fields that have a use as the element is now. */
function fieldsOf(element: Element): Field[] {
  return techniqueOf(element.kind).fields.filter(
    (field) =>
      field.kind !== 'number' || !field.where || readPath(element, field.where.path) === field.where.is,
  );
}

/** What stands on the shelf for this: its measures and colour are taken with it. */
function FromShelf({ element, onTake }: { element: Element; onTake: (next: Element) => void }) {
  const { fromShelf } = techniqueOf(element.kind);
  const { supplies = [] } = useSupplies();
  const fitting = fromShelf
    ? supplies.filter((one) => one.kind === fromShelf.kind && (fromShelf.fits?.(one) ?? true))
    : [];
  if (!fromShelf || fitting.length === 0) return null;
  return (
    <NativeSelect
      className={classes.wide}
      label="From the shelf"
      value=""
      data={[
        { value: '', label: 'Choose' },
        ...fitting.map((one) => ({
          value: one.id,
          label: `${one.name} · ${supplyKindOf(one.kind).says(one)}`,
        })),
      ]}
      onChange={(event) => {
        const chosen = fitting.find((one) => one.id === event.currentTarget.value);
        if (chosen) onTake(fromShelf.take(element, chosen));
      }}
    />
  );
}

interface InputProps {
  field: Field;
  value: unknown;
  /** How the element with this field meets other nails. */
  fitting?: Fitting | undefined;
  onChange: (value: unknown, gesture?: string) => void;
}

export function FieldInput({ field, value, fitting, onChange }: InputProps) {
  switch (field.kind) {
    case 'number':
      if (typeof value !== 'number') return null;
      return (
        <FigureInput
          label={field.words}
          unit={field.unit}
          value={value}
          min={field.min}
          max={field.max}
          step={field.step}
          onChange={onChange}
        />
      );
    case 'figures':
      return <FiguresInput field={field} value={value} onChange={onChange} />;
    case 'choice':
      return (
        <Choice
          label={field.words}
          choices={field.choices.map((choice) => ({ value: String(choice.value), label: choice.words }))}
          value={String(value)}
          onChange={(next) => onChange(field.choices.find((choice) => String(choice.value) === next)?.value)}
        />
      );
    case 'colour':
      return <ColourInput label={field.words} value={String(value)} onChange={onChange} />;
    case 'product':
      if (typeof value !== 'string') return null;
      return <ProductInput words={field.words} families={field.families} value={value} onChange={onChange} />;
    case 'switch':
      return (
        <Checkbox
          label={field.words}
          checked={value === true}
          onChange={(event) => onChange(event.currentTarget.checked)}
        />
      );
    case 'region':
      return (
        <RegionInput words={field.words} value={value as Region} fitting={fitting} onChange={onChange} />
      );
    case 'optional':
      return <OptionalInput field={field} on={value !== null && value !== undefined} onChange={onChange} />;
    case 'list':
      return <ListInput field={field} value={value} onChange={onChange} />;
  }
}

function FiguresInput({
  field,
  value,
  onChange,
}: Omit<InputProps, 'field'> & { field: Extract<Field, { kind: 'figures' }> }) {
  const [draft, setDraft] = useState<string>();
  const figures = Array.isArray(value) ? (value as number[]) : [];
  const read = readFigures(draft ?? figures.join(', '), field);
  return (
    <TextInput
      label={`${field.words}, ${field.unit}`}
      placeholder="any"
      value={draft ?? figures.join(', ')}
      error={read ? undefined : `up to ${field.most} whole figures from ${field.min} to ${field.max}`}
      onChange={(event) => {
        setDraft(event.currentTarget.value);
        const next = readFigures(event.currentTarget.value, field);
        if (next) onChange(next);
      }}
      onBlur={() => setDraft(undefined)}
    />
  );
}

function OptionalInput({
  field,
  on,
  onChange,
}: {
  field: Extract<Field, { kind: 'optional' }>;
  on: boolean;
  onChange: (value: unknown) => void;
}) {
  const set = useStudio((s) => s.set);
  return (
    <Checkbox
      label={field.words}
      checked={on}
      onChange={() => onChange(on ? null : field.fresh(freshProducts(set)))}
    />
  );
}

type ListProps = Omit<InputProps, 'field'> & { field: Extract<Field, { kind: 'list' }> };

/** A list as it stands: one row an item; or, of what can be taken hold of on the nail, one item at a time. */
function ListInput(props: ListProps) {
  return props.field.part === undefined ? <Rows {...props} /> : <Parts {...props} />;
}

function itemsOf(value: unknown): unknown[] {
  return Array.isArray(value) ? (value as unknown[]) : [];
}

function Rows({ field, value, onChange }: ListProps) {
  const items = itemsOf(value);
  return (
    <fieldset className={classes.list}>
      <legend className={classes.legend}>{field.words}</legend>
      {items.map((item, index) => (
        <div key={index} className={classes.listItem} data-later={index > 0 || undefined}>
          {field.item.map((inner) => (
            <div key={inner.path} style={{ flex: inner.kind === 'number' ? '0 0 90px' : 1, minWidth: 0 }}>
              <FieldInput
                field={index === 0 ? inner : { ...inner, words: `${inner.words} ${index + 1}` }}
                value={readPath(item, inner.path)}
                onChange={(next, gesture) =>
                  onChange(items.with(index, writePath(item, inner.path, next)), gesture)
                }
              />
            </div>
          ))}
          <TakeOut index={index} least={field.min} items={items} onChange={onChange} />
        </div>
      ))}
      <OneMore field={field} items={items} onMore={onChange} />
    </fieldset>
  );
}

/** The numbers of one part at a time: of that which is held on the nail, or was chosen here. */
function Parts({ field, value, onChange }: ListProps) {
  const items = itemsOf(value);
  const store = useStudioStore();
  const openPart = useStudio((s) => s.openPart);
  const kit = useStudio((s) => s.set.kit.products);
  const name = (index: number) => `${field.part}-${index}`;
  const held = items.findIndex((_, i) => openPart === name(i) || openPart?.startsWith(`${name(i)}-`));
  const open = Math.max(0, held);
  const shade = field.item.find((inner) => inner.kind === 'colour' || inner.kind === 'product');
  const colourOf = (item: unknown) => {
    const of = shade && String(readPath(item, shade.path));
    return shade?.kind === 'product' ? kit.find((one) => one.id === of)?.colour : of;
  };
  return (
    <fieldset className={classes.list}>
      <legend className={classes.legend}>{field.words}</legend>
      <div className={classes.pick} role="group" aria-label={field.words}>
        {items.map((item, index) => (
          <button
            key={index}
            type="button"
            className={classes.part}
            aria-pressed={index === open}
            aria-label={`${field.part} ${index + 1}`}
            onClick={() => store.setState({ openPart: name(index) })}
          >
            {shade && <span style={{ background: colourOf(item) }} />}
            {index + 1}
          </button>
        ))}
      </div>
      <div className={classes.pieceItem}>
        {field.item.map((inner) => (
          <FieldInput
            key={`${open} ${inner.path}`}
            field={inner}
            value={readPath(items[open], inner.path)}
            onChange={(next, gesture) =>
              onChange(items.with(open, writePath(items[open], inner.path, next)), gesture)
            }
          />
        ))}
        <TakeOut index={open} least={field.min} items={items} onChange={onChange} />
      </div>
      <OneMore
        field={field}
        items={items}
        onMore={(next) => {
          onChange(next);
          store.setState({ openPart: name(items.length) });
        }}
      />
    </fieldset>
  );
}

function OneMore({
  field,
  items,
  onMore,
}: {
  field: ListProps['field'];
  items: readonly unknown[];
  onMore: (items: unknown[]) => void;
}) {
  return (
    <Button
      variant="default"
      leftSection={<IconPlus size={18} />}
      disabled={items.length >= field.max}
      onClick={() => onMore([...items, field.fresh ?? items[items.length - 1]])}
    >
      One more
    </Button>
  );
}

interface TakeOutProps {
  index: number;
  least: number;
  items: readonly unknown[];
  onChange: (items: unknown[]) => void;
}

function TakeOut({ index, least, items, onChange }: TakeOutProps) {
  return (
    <ActionIcon
      variant="subtle"
      color="gray"
      aria-label={`Take out ${index + 1}`}
      disabled={items.length <= least}
      onClick={() => onChange(items.filter((_, i) => i !== index))}
    >
      <IconX size={18} />
    </ActionIcon>
  );
}

/** All of an element laid at once, on the nail in focus. */
function Arrangements({
  look,
  element,
  onLay,
}: {
  look: Look;
  element: Element;
  onLay: (next: Element) => void;
}) {
  const { arrangements = [], drawn } = techniqueOf(element.kind);
  const store = useStudioStore();
  const pen = usePen();
  const others: Neighbour[] = look.elements
    .filter((one) => one.id !== element.id)
    .map((one) => (one.kind === 'charm' ? one : { kind: 'other' }));
  const fitting = arrangements.filter((one) => one.fits?.(others) ?? true);
  if (fitting.length === 0) return null;
  return (
    <div className={classes.arrange} role="group" aria-label="Lay them all">
      {fitting.map((one) => (
        <Button
          key={one.key}
          px={12}
          variant="default"
          title={one.says}
          onClick={() => {
            const { set, focus } = store.getState();
            onLay(one.lay(element, contextOf(set, focus), others));
          }}
        >
          {one.words}
        </Button>
      ))}
      {drawn && (
        <Button
          px={12}
          variant={pen.drawing ? 'filled' : 'default'}
          title={drawn.says}
          onClick={() => {
            if (pen.drawing) return pen.lay();
            pen.take((line) => {
              const { set, focus } = store.getState();
              onLay(drawn.lay(element, contextOf(set, focus), line));
            });
          }}
        >
          {pen.drawing ? 'Draw it now' : drawn.words}
        </Button>
      )}
    </div>
  );
}
