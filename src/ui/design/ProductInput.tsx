'use client';
import { useMemo } from 'react';
import { swatchOf } from '@/core/picture/swatch';
import { tokenColour, type Product } from '@/core/model/product';
import type { ProductFieldProps } from '../kit/fields/host';
import { useShelf } from '../shelf/useShelf';
import { useStudio } from '../studio/studio';
import { Pick } from '../kit/Pick';
import { OwnColour } from './OwnColour';
import { useTaking } from './useTaking';
import classes from './DesignView.module.css';

/** A product of the set's kit, or one from the shelf, which the set then carries; or the same in another colour. */
export function ProductInput({ words, families, value, onChange }: ProductFieldProps) {
  const kit = useStudio((s) => s.set.kit.products);
  const { items } = useShelf();
  const { take } = useTaking(onChange);
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
      <Pick
        label={words}
        value={value}
        leftSection={<Dot colour={now && tokenColour(now)} />}
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
      {now?.colour && <OwnColour product={now} taken={[...kit, ...shelf]} onTaken={onChange} />}
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
