'use client';
import { Fragment, useState } from 'react';
import { IconChevronDown, IconChevronRight } from '@tabler/icons-react';
import { closestCenter, DndContext, PointerSensor, useSensor, useSensors } from '@dnd-kit/core';
import { restrictToVertical } from './restrict';
import { SortableContext, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import type { Finding } from '@/core/judge/finding';
import type { Operation } from '@/core/craft/operation';
import { isPreparing, stageGroups } from '@/core/craft/stageGroups';
import { tokenColour } from '@/core/model/product';
import { moveChange } from '@/core/compile/reorder';
import { SEVERITY } from '../kit/words';
import { announcing } from '../kit/announcing';
import { timeWords } from '@/core/model/times';
import { useStudio, useStudioStore } from '../studio/studio';
import classes from './LayersView.module.css';

interface Props {
  operations: readonly Operation[];
  findings: readonly Finding[];
  current: number;
  onChoose: (index: number) => void;
  /** Told apart where two strips stand beside each other. */
  id?: string;
}

/** A nail's operations from the plate upwards, with the cures between; drag one, or move it with Alt and the arrows. */
export function StepStrip({ operations, findings, current, onChoose, id = 'steps' }: Props) {
  const store = useStudioStore();
  const products = useStudio((s) => s.set.kit.products);
  /** What is prepared is the same on every nail: folded away until it is asked for. */
  const [open, setOpen] = useState(false);
  const colourOf = ({ product }: Operation) => {
    const made = products.find((one) => one.id === product);
    return made && tokenColour(made);
  };
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 5 } }));
  const move = (from: number, to: number) => {
    const { set, change } = store.getState();
    const moved = moveChange(operations, from, to, set.edits);
    if (moved) change(moved);
  };
  return (
    <DndContext
      id={id}
      accessibility={announcing(
        (id) => operations.find((one) => one.id === id)?.words,
        'Press Alt and an arrow to move this step.',
      )}
      sensors={sensors}
      collisionDetection={closestCenter}
      modifiers={[restrictToVertical]}
      onDragEnd={({ active, over }) => {
        const from = operations.findIndex((one) => one.id === active.id);
        const to = operations.findIndex((one) => one.id === over?.id);
        if (from >= 0 && to >= 0) move(from, to);
      }}
    >
      <SortableContext items={operations.map((one) => one.id)} strategy={verticalListSortingStrategy}>
        <ol className={classes.steps} data-keeps-arrows>
          {stageGroups(operations).map((group) => {
            const shown = !isPreparing(group.stage) || open || (current >= group.from && current <= group.to);
            const count = group.to - group.from + 1;
            return (
              <Fragment key={`${group.stage} ${group.from}`}>
                <li className={classes.stage}>
                  {isPreparing(group.stage) ? (
                    <button
                      type="button"
                      className={classes.fold}
                      aria-expanded={shown}
                      onClick={() => setOpen(!shown)}
                    >
                      {shown ? <IconChevronDown size={16} /> : <IconChevronRight size={16} />}
                      {group.words}
                      <small>
                        {count} steps, {timeWords(group.hand_s)}
                      </small>
                    </button>
                  ) : (
                    group.words
                  )}
                </li>
                {shown &&
                  operations
                    .slice(group.from, group.to + 1)
                    .map((operation, i) => (
                      <Step
                        key={operation.id}
                        operation={operation}
                        colour={operation.deposit && colourOf(operation)}
                        index={group.from + i}
                        last={operations.length - 1}
                        current={current}
                        worst={findings.find((finding) => finding.operation === operation.id)?.severity}
                        onChoose={onChoose}
                        onMove={move}
                      />
                    ))}
              </Fragment>
            );
          })}
        </ol>
      </SortableContext>
    </DndContext>
  );
}

interface StepProps {
  operation: Operation;
  /** Of the film it lays; nothing where that is clear. */
  colour: string | undefined;
  index: number;
  last: number;
  current: number;
  worst: Finding['severity'] | undefined;
  onChoose: (index: number) => void;
  onMove: (from: number, to: number) => void;
}

function Step({ operation, colour, index, last, current, worst, onChoose, onMove }: StepProps) {
  const { setNodeRef, listeners, transform, transition, isDragging } = useSortable({ id: operation.id });
  const light = operation.lamp !== undefined;
  return (
    <li
      ref={setNodeRef}
      className={classes.step}
      data-light={light || undefined}
      data-dragging={isDragging || undefined}
      style={{ transform: CSS.Translate.toString(transform), transition }}
    >
      <button
        type="button"
        {...listeners}
        className={classes.stepButton}
        data-testid={`step-${operation.element}-${operation.step}-${operation.pass}`}
        data-index={index}
        data-current={index === current || undefined}
        data-later={index > current || undefined}
        aria-current={index === current ? 'step' : undefined}
        onClick={() => onChoose(index)}
        onKeyDown={(event) => {
          if (event.key !== 'ArrowUp' && event.key !== 'ArrowDown') return;
          event.preventDefault();
          const to = index + (event.key === 'ArrowUp' ? -1 : 1);
          if (event.altKey) onMove(index, to);
          else {
            const next = Math.max(0, Math.min(last, to));
            const list = event.currentTarget.closest('ol');
            onChoose(next);
            // Into what was folded: it is there once it is drawn.
            requestAnimationFrame(() =>
              list?.querySelector<HTMLButtonElement>(`[data-index="${next}"]`)?.focus(),
            );
          }
        }}
      >
        <span className={classes.number}>{index + 1}</span>
        <span className={classes.stepWords}>
          {worst && (
            <b style={{ color: SEVERITY[worst].variable }}>
              <span aria-hidden>{SEVERITY[worst].mark}</span> {SEVERITY[worst].word}:{' '}
            </b>
          )}
          {colour && <i className={classes.film} style={{ background: colour }} aria-hidden />}
          {operation.words}
        </span>
        <span className={classes.seconds}>
          {light
            ? `${operation.lamp!.seconds} s light`
            : operation.wait_s
              ? `${operation.hand_s} + ${operation.wait_s} s`
              : `${operation.hand_s} s`}
        </span>
      </button>
    </li>
  );
}
