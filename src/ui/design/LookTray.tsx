'use client';
import { Button } from '@mantine/core';
import { useDraggable } from '@dnd-kit/core';
import { IconPlus } from '@tabler/icons-react';
import { useMemo } from 'react';
import { FIRST_TECHNIQUE } from '@/core/craft/techniques';
import type { Look } from '@/core/document/document';
import { lookName, nameApart } from '@/core/document/naming';
import { freeKey, lookShown, SHOWN_ON } from '@/core/document/wearers';
import { StillPicture } from '../kit/StillPicture';
import { useGesture } from '../kit/useGesture';
import { FINENESS, usePicture } from '../kit/usePictures';
import { chosenNails } from '../studio/slices/document';
import { useSettled, useStudio, useStudioStore } from '../studio/studio';
import { nailsWords } from '@/core/model/names';
import { freeId } from '@/core/model/freeId';
import { once } from '../kit/once';
import { unforeseen } from '../kit/unforeseen';
import { useKey } from '../studio/useKey';
import { Compose } from './Compose';
import { pickerOf } from '@/core/starter/picker';
import classes from './DesignView.module.css';

const PX_PER_MM = 3.6;

/** The looks of this set as swatches, to drag or key onto nails. */
export function LookTray() {
  const looks = useSettled((set) => set.looks);
  const worn = useStudio((s) => (s.selected.length > 0 ? nailsWords(chosenNails(s)) : undefined));
  const store = useStudioStore();
  const gesture = useGesture();
  /** A look with one colour, put on the chosen nails: both are one step of undo. */
  function add() {
    const { set, selected, change, changeWorn, openLookAt } = store.getState();
    const key = freeKey(set.looks);
    if (!key) return;
    const id = freeId('look', set.looks);
    const elements = [FIRST_TECHNIQUE.fresh(FIRST_TECHNIQUE.kind, pickerOf(set))];
    const name = nameApart(
      lookName({ elements }, set.kit.products),
      set.looks.map((look) => look.name),
    );
    gesture.begin();
    if (!change({ kind: 'put-look', look: { id, name, key, elements } }, gesture.id())) return;
    if (selected.length > 0) changeWorn({ kind: 'wear', nails: selected, look: id }, gesture.id());
    openLookAt(id, FIRST_TECHNIQUE.kind);
  }
  const addOnce = () => void once('new look', add).catch(unforeseen);
  useKey('n', addOnce);
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
        onClick={addOnce}
        disabled={freeKey(looks) === undefined}
      >
        New look
      </Button>
      {worn && <p className={classes.trayWords}>On {worn}</p>}
    </section>
  );
}

/** A swatch: drag it onto a nail, or press its letter for the selected nails; a click opens it. */
function Swatch({ look }: { look: Look }) {
  const set = useSettled((now) => now);
  const open = useStudio((s) => s.openLook === look.id);
  const store = useStudioStore();
  const { setNodeRef, listeners, attributes } = useDraggable({ id: look.id });
  const trial = useMemo(() => lookShown(set, look.id), [set, look.id]);
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
      onClick={() => store.getState().openLookAt(look.id)}
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
