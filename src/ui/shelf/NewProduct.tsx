'use client';
import { Button, Modal } from '@mantine/core';
import { IconPlus } from '@tabler/icons-react';
import { useState } from 'react';
import { FAMILIES } from '@/core/craft/families';
import { upperFirst } from '@/core/model/letters';
import { PRODUCT_FAMILIES, type ProductFamily } from '@/core/model/product';
import classes from './ShelfView.module.css';

/** A new product begins as the plain one of its family. */
export function NewProduct({ onPick }: { onPick: (family: ProductFamily) => void }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button variant="default" leftSection={<IconPlus size={18} />} onClick={() => setOpen(true)}>
        New product
      </Button>
      <Modal opened={open} onClose={() => setOpen(false)} title="What is it?" size="lg" centered>
        <div className={classes.families}>
          {PRODUCT_FAMILIES.map((family) => (
            <Button
              key={family}
              variant="subtle"
              color="gray"
              justify="start"
              onClick={() => {
                setOpen(false);
                onPick(family);
              }}
            >
              {upperFirst(FAMILIES[family].words)}
            </Button>
          ))}
        </div>
      </Modal>
    </>
  );
}
