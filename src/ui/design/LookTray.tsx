'use client';
import { Button } from '@mantine/core';
import { useDraggable } from '@dnd-kit/core';
import { IconPlus } from '@tabler/icons-react';
import { useMemo } from 'react';
import { techniqueOf } from '@/core/craft/techniques';
import { LOOK_KEYS, type Look } from '@/core/document/document';
import { StillPicture } from '../kit/StillPicture';
import { FINENESS, usePicture } from '../kit/usePictures';
import { useSettled, useStudio, useStudioStore } from '../studio/studio';
import { freeId } from '@/core/model/freeId';
import { Compose } from './Compose';
import { freshProducts } from './fresh';
import classes from './DesignView.module.css';

const PX_PER_MM = 3.6;
/** Swatches show a look on this nail. */
const SHOWN_ON = 'left-middle';

/** The looks of this set as swatches, to drag or key onto nails. */
export function LookTray() {
  const looks = useSettled((set) => set.looks);
  const store = useStudioStore();
  function add() {
    const { set, change } = store.getState();
    const key = [...LOOK_KEYS].find((one) => !set.looks.some((look) => look.key === one));
    if (!key) return;
    const id = freeId('look', set.looks);
    const element = techniqueOf('colour').fresh('colour', freshProducts(set));
    change({ kind: 'put-look', look: { id, name: 'New look', key, elements: [element] } });
    store.setState({ openLook: id, openElement: 'colour' });
  }
  return (
    <section className={classes.tray} aria-label="Looks">
      <h2>Looks</h2>
      {looks.length > 1 && <Compose />}
      <ul className={classes.looks}>
        {looks.map((look) => (
          <li key={look.id}>
            <Swatch look={look} />
          </li>
        ))}
      </ul>
      <Button
        mt="sm"
        variant="default"
        leftSection={<IconPlus size={18} />}
        onClick={add}
        disabled={looks.length >= 12}
      >
        New look
      </Button>
    </section>
  );
}

/** A swatch: drag it onto a nail, or press its letter for the selected nails; a click opens it. */
function Swatch({ look }: { look: Look }) {
  const set = useSettled((now) => now);
  const open = useStudio((s) => s.openLook === look.id);
  const store = useStudioStore();
  const { setNodeRef, listeners, attributes } = useDraggable({ id: look.id });
  const trial = useMemo(() => {
    const nail = { ...set.nails[SHOWN_ON], look: look.id, changes: [] };
    return { ...set, nails: { ...set.nails, [SHOWN_ON]: nail }, edits: [] };
  }, [set, look.id]);
  const picture = usePicture(trial, SHOWN_ON, PX_PER_MM * FINENESS);
  return (
    <button
      ref={setNodeRef}
      {...attributes}
      {...listeners}
      type="button"
      className={classes.look}
      data-open={open || undefined}
      data-testid={`look-${look.id}`}
      onClick={() => store.setState({ openLook: look.id, openElement: undefined })}
    >
      <span className={classes.swatch}>
        <StillPicture picture={picture} px_per_mm={PX_PER_MM} />
      </span>
      <span className={classes.lookName}>
        {look.name}
        <span className={classes.lookKey}>{look.key.toUpperCase()}</span>
      </span>
    </button>
  );
}
