'use client';
import { ActionIcon, Button, ColorPicker, Popover, TextInput } from '@mantine/core';
import { IconColorPicker } from '@tabler/icons-react';
import { useState } from 'react';
import { colourName } from '@/core/colour/names';
import { nameApart } from '@/core/document/naming';
import { freeId } from '@/core/model/freeId';
import { upperFirst } from '@/core/model/letters';
import { tidyWords } from '@/core/model/primitives';
import type { Product } from '@/core/model/product';
import { onShelf } from '@/core/starter/shelf';
import { putOnShelf } from '@/data/shelf';
import { notKept } from '../kit/notify';
import { useGesture } from '../kit/useGesture';
import { useKey } from '../studio/useKey';
import { useStudioStore } from '../studio/studio';

const HEX = /^#[0-9a-f]{6}$/i;

interface Props {
  /** What the new colour is like in all but its colour. */
  product: Product;
  taken: readonly Product[];
  onTaken: (id: string, gesture: string) => void;
}

/** A colour that is tried: a product of its own from the first touch on. */
interface Trial {
  like: Product;
  id: string;
  tried: boolean;
}

/**
 * A colour of the artist's own, like one that is here. What is tried stands on the nail at once, all of it one step of
 * undo; dropped, it is gone again.
 */
export function OwnColour({ product, taken, onTaken }: Props) {
  const store = useStudioStore();
  const gesture = useGesture();
  const [trial, setTrial] = useState<Trial>();
  const [typed, setTyped] = useState('');
  const [name, setName] = useState('');
  const colour = hexOf(typed);
  const others = taken.filter(({ id }) => id !== trial?.id).map((one) => one.name);
  const called = (hex: string) => nameApart(upperFirst(colourName(hex)), others);

  useKey('o', open);

  function open() {
    gesture.begin();
    setTyped(product.colour ?? '');
    setName('');
    setTrial({ like: product, id: freeId('own-colour', taken), tried: false });
  }

  function put({ like, id, tried }: Trial, made: Pick<Product, 'name' | 'colour'>) {
    store.getState().change({ kind: 'put-product', product: { ...like, ...made, id } }, gesture.id());
    if (!tried) onTaken(id, gesture.id());
  }

  function attempt(text: string) {
    setTyped(text);
    const hex = hexOf(text);
    if (!trial || !hex) return;
    put(trial, { name: called(hex), colour: hex });
    setTrial({ ...trial, tried: true });
  }

  function drop() {
    if (trial?.tried) store.temporal.getState().undo();
    setTrial(undefined);
  }

  function keep() {
    if (!trial || !colour) return;
    const made = { name: tidyWords(name) ?? called(colour), colour };
    put(trial, made);
    putOnShelf([onShelf({ ...trial.like, ...made, id: trial.id })]).catch(notKept);
    setTrial(undefined);
  }

  return (
    <Popover
      opened={trial !== undefined}
      onChange={(opened) => {
        if (!opened) drop();
      }}
      position="left-start"
      offset={20}
      width={280}
      trapFocus
      returnFocus
      // What is pressed next is meant for what lies below it.
      transitionProps={{ duration: 0 }}
    >
      <Popover.Target>
        <ActionIcon
          variant="default"
          aria-label={`A new colour like ${product.name}`}
          title="A new colour (O)"
          onClick={() => (trial ? drop() : open())}
        >
          <IconColorPicker size={20} />
        </ActionIcon>
      </Popover.Target>
      <Popover.Dropdown aria-label="A new colour">
        <form
          onSubmit={(event) => {
            event.preventDefault();
            keep();
          }}
        >
          <TextInput
            label="Colour"
            data-autofocus
            value={typed}
            error={colour ? undefined : 'a colour such as #b0303a'}
            onFocus={(event) => event.currentTarget.select()}
            onChange={(event) => attempt(event.currentTarget.value)}
          />
          <ColorPicker
            fullWidth
            mt="sm"
            format="hex"
            value={colour ?? '#000000'}
            onChange={attempt}
            saturationLabel="Strength and brightness"
            hueLabel="Hue"
          />
          <TextInput
            mt="sm"
            label="Name"
            placeholder={colour && called(colour)}
            value={name}
            onChange={(event) => setName(event.currentTarget.value)}
          />
          <Button type="submit" mt="md" fullWidth disabled={!colour}>
            Put it on the shelf and use it
          </Button>
        </form>
      </Popover.Dropdown>
    </Popover>
  );
}

/** A colour as it is typed, in full: the sign in front may be missing. Undefined where it is none. */
function hexOf(typed: string): string | undefined {
  const text = typed.trim().toLowerCase();
  const hex = text.startsWith('#') ? text : `#${text}`;
  return HEX.test(hex) ? hex : undefined;
}
