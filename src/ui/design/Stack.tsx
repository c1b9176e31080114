'use client';
import { closestCenter, DndContext, PointerSensor, useSensor, useSensors } from '@dnd-kit/core';
import { SortableContext, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { ActionIcon } from '@mantine/core';
import { IconEye, IconEyeOff } from '@tabler/icons-react';
import { useMemo } from 'react';
import { laidOrder } from '@/core/compile/laidOrder';
import type { Operation } from '@/core/craft/operation';
import { buildOf, frameOf } from '@/core/document/nailContext';
import { techniqueOf, type Element } from '@/core/craft/techniques';
import type { Look, SetDocument } from '@/core/document/document';
import { lowerFirst } from '@/core/model/letters';
import { nailWords, type NailName } from '@/core/model/names';
import { announcing } from '../kit/announcing';
import { StillPicture } from '../kit/StillPicture';
import { FINENESS, usePicture } from '../kit/usePictures';
import { useSettled, useStudio, useStudioStore } from '../studio/studio';
import { elementWords, namedElement } from './elementWords';
import classes from './Stack.module.css';

const NO_OPERATIONS: readonly Operation[] = [];
const PX_PER_MM = 3.4;
/** A lifted film is no longer than this. */
const MOST_PX = 66;

/**
 * The nail taken apart: what the look lays, film by film, the topmost first. Touched to open; dragged, or with Alt and an
 * arrow, laid over or under another.
 */
export function Stack({ look, open }: { look: Look; open: string | undefined }) {
  const store = useStudioStore();
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }));
  const operations = useStudio((s) => s.plan?.operations[s.focus]) ?? NO_OPERATIONS;
  const worn = useSettled((set, s) => set.nails[s.focus].look === look.id);
  const laid = worn ? laidOrder(look.elements, operations) : look.elements;
  const shown = [...laid].reverse();
  const move = (element: string, to: number) =>
    store.getState().change({ kind: 'move-element', look: look.id, element, to });
  const products = useSettled((set) => set.kit.products);
  const nameOf = (id: string) => {
    const element = look.elements.find((one) => one.id === id);
    return element && elementWords(element, look, products);
  };
  const at = (id: unknown) => look.elements.findIndex((one) => one.id === id);
  return (
    <DndContext
      id="stack"
      accessibility={announcing(nameOf, 'Press Alt and an arrow to lay it over or under another.')}
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragEnd={({ active, over }) => {
        if (over && over.id !== active.id) move(String(active.id), at(over.id));
      }}
    >
      <SortableContext items={shown.map((one) => one.id)} strategy={verticalListSortingStrategy}>
        <ul className={classes.stack} aria-label="Elements, top first">
          {shown.map((element) => (
            <Film
              key={element.id}
              look={look}
              element={element}
              open={element.id === open}
              move={(by) => {
                const other = laid[laid.indexOf(element) + by];
                if (other) move(element.id, at(other.id));
              }}
              beside={(by) => laid[laid.indexOf(element) + by]?.id}
            />
          ))}
        </ul>
      </SortableContext>
    </DndContext>
  );
}

interface FilmProps {
  look: Look;
  element: Element;
  open: boolean;
  move: (by: 1 | -1) => void;
  /** The element above it, or below. */
  beside: (by: 1 | -1) => string | undefined;
}

function Film({ look, element, open, move, beside }: FilmProps) {
  const set = useSettled((now) => now);
  const focus = useStudio((s) => s.focus);
  const { id } = element;
  const store = useStudioStore();
  const { setNodeRef, listeners, transform, transition, isDragging } = useSortable({ id: element.id });
  const alone = useMemo(() => {
    // As it was when a hand took hold of it: what is held is drawn large, and here once it is let go.
    const still = set.looks.find((one) => one.id === look.id)?.elements.find((one) => one.id === id);
    const nail = { ...set.nails[focus], look: look.id };
    return {
      ...set,
      looks: [{ id: look.id, name: look.name, key: look.key, elements: still ? [still] : [] }],
      nails: { ...set.nails, [focus]: { ...nail, changes: [] } },
      edits: [],
    };
  }, [set, focus, look.id, look.name, look.key, id]);
  const { length_mm } = frameOf(set.nails[focus], buildOf(set, set.nails[focus]));
  const px_per_mm = Math.min(PX_PER_MM, Math.round((MOST_PX / length_mm) * 10) / 10);
  const picture = usePicture(alone, focus, px_per_mm * FINENESS);
  /** The film above this one, or below it, is opened and has the keyboard. */
  const goTo = (by: 1 | -1) => {
    const next = beside(by);
    if (!next) return;
    store.getState().openElementAt(next);
    document.querySelector<HTMLElement>(`[data-testid="element-${next}"]`)?.focus();
  };
  const off = useSettled((now) => leavesOff(now, focus, id));
  return (
    <li
      ref={setNodeRef}
      className={classes.row}
      style={{ transform: CSS.Translate.toString(transform), transition }}
    >
      <button
        type="button"
        className={classes.film}
        data-open={open || undefined}
        data-held={isDragging || undefined}
        data-off={off || undefined}
        data-testid={`element-${element.id}`}
        data-film
        data-keeps-arrows
        aria-keyshortcuts="Alt+ArrowUp Alt+ArrowDown"
        onPointerDown={listeners?.onPointerDown as React.PointerEventHandler | undefined}
        onClick={() => store.getState().openElementAt(element.id)}
        onKeyDown={(event) => {
          const up = { ArrowUp: 1, ArrowDown: -1 }[event.key];
          if (up && event.altKey) move(up as 1 | -1);
          else if (up) goTo(up as 1 | -1);
          else if (event.key === 'Delete')
            store.getState().change({ kind: 'remove-element', look: look.id, element: id });
          else return;
          event.preventDefault();
        }}
      >
        <span className={classes.lifted}>
          <StillPicture picture={picture} px_per_mm={px_per_mm} />
        </span>
        <span className={classes.kind}>{namedElement(element)}</span>
        <span className={classes.says}>{says(element, set)}</span>
      </button>
      {look.elements.length > 1 && set.nails[focus].look === look.id && (
        <LeaveOff element={id} words={elementWords(element, look, set.kit.products)} off={off} />
      )}
    </li>
  );
}

function leavesOff(set: SetDocument, nail: NailName, element: string): boolean {
  return set.nails[nail].changes.some((one) => one.element === element && 'leave_off' in one);
}

/** Whether the nail in focus has this part of its look. */
function LeaveOff({ element, words, off }: { element: string; words: string; off: boolean }) {
  const nail = useStudio((s) => s.focus);
  const store = useStudioStore();
  const label = `Wears its ${lowerFirst(words)}`;
  return (
    <ActionIcon
      className={classes.leaveOff}
      variant="subtle"
      color="gray"
      aria-label={label}
      title={off ? `The ${nailWords(nail)} goes without it` : `The ${nailWords(nail)} wears it`}
      aria-pressed={!off}
      onClick={() =>
        store
          .getState()
          .changeWorn(
            off
              ? { kind: 'clear-nail-change', nail, element }
              : { kind: 'nail-change', nail, change: { element, leave_off: true } },
          )
      }
    >
      {off ? <IconEyeOff size={19} /> : <IconEye size={19} />}
    </ActionIcon>
  );
}

/** What an element says of itself: the names of its products. */
function says(element: Element, set: SetDocument): string {
  const names = techniqueOf(element.kind)
    .products(element)
    .map((id) => set.kit.products.find((product) => product.id === id)?.name ?? id);
  if (names.length > 0) return names.join(', ');
  return element.id.replace(/-/g, ' ');
}
