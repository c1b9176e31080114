'use client';
import { Button, ColorInput, TextInput } from '@mantine/core';
import { useState } from 'react';
import { lampOf } from '@/core/craft/families';
import { readPath, writePath } from '@/core/craft/fieldPath';
import { FRESH_POT_GRAINS, POT_GRAIN_FIELDS } from '@/core/craft/grainFields';
import { LIGHT_WORDS } from '@/core/craft/supplies';
import type { Field } from '@/core/craft/technique';
import { MOST_WORDS, tidyWords } from '@/core/model/primitives';
import { LIGHTS, type Light, type Product } from '@/core/model/product';
import type { ShelfItem } from '@/core/model/shelf';
import { FieldInput } from '../kit/fields/FieldInput';
import { Pick } from '../kit/Pick';
import { StoredFigure } from '../kit/StoredFigure';
import { StockOfProduct } from './StockOfProduct';
import { ThickCure } from './ThickCure';
import classes from './ShelfView.module.css';

interface Props {
  item: ShelfItem;
  /** Changes the product as it is when the change is kept. */
  onChange: (change: (item: ShelfItem) => unknown) => void;
  onRemove: () => void;
}

/** What can be set of a product of the shelf. */
export function ProductFields({ item, onChange, onRemove }: Props) {
  const { product } = item;
  const lamp = lampOf(product);
  const put = (own: Partial<ShelfItem>) => onChange((now) => ({ ...now, ...own }));
  const putProduct = (changed: Partial<Product>) =>
    onChange((now) => ({ ...now, product: { ...now.product, ...changed } }));
  const putLamp = (changed: Partial<NonNullable<Product['lamp']>>) =>
    onChange((now) => ({
      ...now,
      product: {
        ...now.product,
        // What its direction says, and not what that tells of its depth.
        lamp: { ...(now.product.lamp ?? lampOf(now.product)), ...changed },
      },
    }));
  return (
    <div className={classes.fields}>
      <Said
        label="Name"
        value={product.name}
        onPut={(name) => {
          if (name && name !== product.name) putProduct({ name });
        }}
      />
      {product.colour && (
        <ColorInput
          label="Colour"
          format="hex"
          eyeDropperButtonProps={{ 'aria-label': 'Pick a colour from the screen' }}
          defaultValue={product.colour}
          onChangeEnd={(colour) => putProduct({ colour })}
          onBlur={(event) => putProduct({ colour: event.currentTarget.value })}
        />
      )}
      {product.coats_to_cover !== undefined && (
        <StoredFigure
          label="Coats to cover"
          value={product.coats_to_cover}
          min={0.5}
          max={8}
          onPut={(coats_to_cover) => putProduct({ coats_to_cover })}
        />
      )}
      {lamp && (
        <>
          <StoredFigure
            label="Cure, s"
            value={lamp.cure_s}
            min={5}
            max={600}
            onPut={(cure_s) => putLamp({ cure_s })}
          />
          <StoredFigure
            label="Flash, s"
            value={lamp.flash_s}
            min={1}
            max={120}
            onPut={(flash_s) => putLamp({ flash_s })}
          />
          <ThickCure lamp={lamp} onPut={(thick) => putLamp({ thick })} />
        </>
      )}
      {lamp && (
        <>
          <StoredFigure
            label="Open time, s"
            value={product.open_s ?? ''}
            min={5}
            max={600}
            onPut={(open_s) => putProduct({ open_s })}
          />
          <Pick
            label="Light"
            value={lamp.light ?? ''}
            data={[
              { value: '', label: 'Not noted' },
              ...LIGHTS.map((value) => ({ value, label: LIGHT_WORDS[value] })),
            ]}
            onChange={(event) => {
              putLamp({ light: (event.currentTarget.value as Light | '') || undefined });
            }}
          />
        </>
      )}
      {product.coat_um !== undefined && (
        <StoredFigure
          label="One coat, µm"
          value={product.coat_um}
          min={1}
          max={2000}
          onPut={(coat_um) => putProduct({ coat_um })}
        />
      )}
      {product.coat_um !== undefined && <GrainFields product={product} onPut={putProduct} />}
      <StockOfProduct item={item} onPut={put} />
      {lamp && <Said label="System" value={product.system} onPut={(system) => putProduct({ system })} />}
      <Said
        label="Contains"
        title="What some hands do not bear: a client’s card that names it is told in the plan"
        value={product.contains}
        onPut={(contains) => putProduct({ contains })}
      />
      <Button variant="subtle" color="red" onClick={onRemove}>
        Take off the shelf
      </Button>
    </div>
  );
}

type Grained = { grains?: Product['grains'] };

/** Grains in the pot, where there are any; what is typed stands here at once. */
function GrainFields({ product, onPut }: { product: Product; onPut: (changed: Grained) => void }) {
  const [draft, setDraft] = useState<Grained>({ grains: product.grains });
  const fields = draft.grains ? [POT_GRAINS, ...POT_GRAIN_FIELDS] : [POT_GRAINS];
  return fields.map((field) => (
    <FieldInput
      key={`${field.kind} ${field.path}`}
      field={field}
      value={readPath(draft, field.path) ?? null}
      onChange={(next) => {
        const { grains } = writePath(draft, field.path, next ?? undefined) as Grained;
        setDraft({ grains });
        onPut({ grains });
      }}
    />
  ));
}

const POT_GRAINS: Field = {
  kind: 'optional',
  path: 'grains',
  words: 'Glitter in it',
  fresh: () => FRESH_POT_GRAINS,
};

interface SaidProps {
  label: string;
  value: string | undefined;
  title?: string;
  onPut: (words: string | undefined) => void;
}

/** What is said of a product in words: kept when the field is left or Enter is pressed. */
function Said({ label, value = '', title, onPut }: SaidProps) {
  return (
    <TextInput
      label={label}
      title={title}
      maxLength={MOST_WORDS}
      defaultValue={value}
      onBlur={(event) => onPut(tidyWords(event.currentTarget.value))}
      onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
    />
  );
}
