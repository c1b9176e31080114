'use client';
import { ActionIcon, Button, ColorPicker, NativeSelect, Popover, TextInput } from '@mantine/core';
import { IconColorPicker } from '@tabler/icons-react';
import { useMemo, useState } from 'react';
import { swatchOf } from '@/core/picture/swatch';
import { tidyWords } from '@/core/model/primitives';
import type { Product } from '@/core/model/product';
import { recoloured } from '@/core/starter/shelf';
import type { ProductFieldProps } from '../kit/fields/host';
import { useShelf } from '../shelf/useShelf';
import { useStudio } from '../studio/studio';
import { useTaking } from './useTaking';
import classes from './DesignView.module.css';

/** A product of the set's kit, or one from the shelf, which the set then carries; or the same in another colour. */
export function ProductInput({ words, families, value, onChange }: ProductFieldProps) {
  const kit = useStudio((s) => s.set.kit.products);
  const { items } = useShelf();
  const { take, takeNew } = useTaking(onChange);
  const fits = (product: Product) => families.includes(product.family);
  // What it has now stands there, whether or not it would be offered.
  const inSet = kit.filter((product) => fits(product) || product.id === value);
  const shelf = (items ?? [])
    .map((item) => item.product)
    .filter((product) => fits(product) && !kit.some((one) => one.id === product.id))
    .sort((a, b) => a.name.localeCompare(b.name, 'en', { numeric: true }));
  const now = kit.find((product) => product.id === value);

  const option = ({ id, name }: Product) => ({ value: id, label: name });
  return (
    <div className={classes.product} data-product>
      <NativeSelect
        label={words}
        value={value}
        leftSection={<Dot colour={now?.colour} />}
        data={[
          { group: 'In this set', items: inSet.map(option) },
          ...(shelf.length > 0 ? [{ group: 'On the shelf', items: shelf.map(option) }] : []),
        ]}
        onChange={(event) => {
          const id = event.currentTarget.value;
          const chosen = [...inSet, ...shelf].find((product) => product.id === id);
          if (chosen) take(chosen);
        }}
      />
      {now?.colour && <Coats product={now} />}
      {now?.colour && <Recolour product={now} taken={[...kit, ...shelf]} onMade={takeNew} />}
    </div>
  );
}

/** One, two and three coats, over a dark nail and a pale one. */
function Coats({ product }: { product: Product }) {
  const swatch = useMemo(() => swatchOf(product), [product]);
  return (
    <span
      className={classes.coats}
      data-coats
      role="img"
      aria-label={`${product.name}: one, two and three coats over a dark and a pale nail`}
      title="One, two and three coats, over a dark nail above and a pale one below"
    >
      {[...swatch.dark, ...swatch.pale].map((colour, i) => (
        <span key={i} style={{ background: colour }} />
      ))}
    </span>
  );
}

function Recolour({
  product,
  taken,
  onMade,
}: {
  product: Product;
  taken: readonly Product[];
  onMade: (product: Product) => void;
}) {
  const [open, setOpen] = useState(false);
  const [name, setName] = useState('');
  const [colour, setColour] = useState(product.colour ?? '#b0303a');
  const good = /^#[0-9a-f]{6}$/i.test(colour);
  function make() {
    const made = recoloured(
      product,
      tidyWords(name) ?? `${product.name} ${colour}`,
      colour,
      new Set(taken.map((one) => one.id)),
    );
    onMade(made);
    setOpen(false);
  }
  return (
    <Popover opened={open} onChange={setOpen} position="bottom-end" width={280} trapFocus returnFocus>
      <Popover.Target>
        <ActionIcon
          variant="default"
          aria-label={`A new colour like ${product.name}`}
          title="A new colour"
          onClick={() => setOpen(!open)}
        >
          <IconColorPicker size={20} />
        </ActionIcon>
      </Popover.Target>
      <Popover.Dropdown aria-label="A new colour">
        <form
          onSubmit={(event) => {
            event.preventDefault();
            if (good) make();
          }}
        >
          <ColorPicker fullWidth format="hex" value={colour} onChange={setColour} />
          <TextInput
            mt="sm"
            label="Colour"
            data-autofocus
            value={colour}
            error={good ? undefined : 'a colour such as #b0303a'}
            onChange={(event) => setColour(event.currentTarget.value)}
          />
          <TextInput
            mt="sm"
            label="Name"
            placeholder={`${product.name} ${colour}`}
            value={name}
            onChange={(event) => setName(event.currentTarget.value)}
          />
          <Button type="submit" mt="md" fullWidth disabled={!good}>
            Put it on the shelf and use it
          </Button>
        </form>
      </Popover.Dropdown>
    </Popover>
  );
}

function Dot({ colour }: { colour: string | undefined }) {
  return (
    <span
      aria-hidden
      style={{
        display: 'inline-block',
        width: 18,
        height: 18,
        borderRadius: 9,
        background: colour,
        border: '1px solid var(--line)',
      }}
    />
  );
}
