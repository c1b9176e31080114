'use client';
import { Checkbox } from '@mantine/core';
import { readPath, writePath } from '@/core/craft/fieldPath';
import type { Print as PrintOfSheet } from '@/core/craft/prints';
import type { Region as RegionOfNail } from '@/core/regions';
import { Choice, ColourInput, FigureInput } from '../Inputs';
import { FiguresInput } from './FiguresInput';
import { useFieldHost } from './host';
import { OneMore, TakeOut } from './listItems';
import { OnOther } from './OnOther';
import { OptionalInput } from './OptionalInput';
import { WordsInput } from './WordsInput';
import type { InputProps, ListProps } from './props';
import classes from './Fields.module.css';

/** One option, by the kind of its field. */
export function FieldInput({ field, value, fitting, onChange }: InputProps) {
  const { Product, Region, Print } = useFieldHost();
  switch (field.kind) {
    case 'number': {
      const figure = value ?? field.absent;
      if (typeof figure !== 'number') return null;
      return (
        <FigureInput
          label={field.words}
          unit={field.unit}
          value={figure}
          min={field.min}
          max={field.max}
          step={field.step}
          onChange={onChange}
        />
      );
    }
    case 'words':
      return <WordsInput field={field} value={value} onChange={onChange} />;
    case 'figures':
      return <FiguresInput field={field} value={value} onChange={onChange} />;
    case 'choice':
      if (value === undefined || value === null) return null;
      return (
        <Choice
          label={field.words}
          choices={field.choices.map((choice) => ({ value: String(choice.value), label: choice.words }))}
          value={String(value)}
          onChange={(next) => onChange(field.choices.find((choice) => String(choice.value) === next)?.value)}
        />
      );
    case 'shade':
      return <ColourInput label={field.words} value={String(value)} onChange={onChange} />;
    case 'product':
      if (typeof value !== 'string') return null;
      return <Product words={field.words} families={field.families} value={value} onChange={onChange} />;
    case 'switch':
      return (
        <Checkbox
          label={field.words}
          checked={value === true}
          onChange={(event) => onChange(event.currentTarget.checked)}
        />
      );
    case 'region':
      if (value === null || value === undefined) return null;
      return (
        <Region words={field.words} value={value as RegionOfNail} fitting={fitting} onChange={onChange} />
      );
    case 'print':
      return <Print words={field.words} value={(value ?? null) as PrintOfSheet | null} onChange={onChange} />;
    case 'element':
      return <OnOther words={field.words} value={value} onChange={onChange} />;
    case 'optional':
      return <OptionalInput field={field} on={value !== null && value !== undefined} onChange={onChange} />;
    case 'list':
      return <ListInput field={field} value={value} onChange={onChange} />;
  }
}

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
  const { openPart, onOpenPart, colourOf: colourOfProduct } = useFieldHost();
  const name = (index: number) => `${field.part}-${index}`;
  const held = items.findIndex((_, i) => openPart === name(i) || openPart?.startsWith(`${name(i)}-`));
  const open = Math.max(0, held);
  const shade = field.item.find((inner) => inner.kind === 'shade' || inner.kind === 'product');
  const called = field.item.find((inner) => inner.kind === 'words');
  const nameOf = (item: unknown) => {
    const own = called && readPath(item, called.path);
    return typeof own === 'string' ? own : undefined;
  };
  const colourOf = (item: unknown) => {
    const of = shade && String(readPath(item, shade.path));
    return shade?.kind === 'product' && of ? colourOfProduct(of) : of;
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
            aria-label={[`${field.part} ${index + 1}`, nameOf(item)].filter(Boolean).join(', ')}
            onClick={() => onOpenPart(name(index))}
          >
            {shade && <span style={{ background: colourOf(item) }} />}
            {nameOf(item) ?? index + 1}
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
          onOpenPart(name(items.length));
        }}
      />
    </fieldset>
  );
}
