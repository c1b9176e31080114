'use client';
import { closestCenter, DndContext, PointerSensor, useSensor, useSensors } from '@dnd-kit/core';
import { restrictToVertical } from './restrict';
import { SortableContext, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import type { Finding } from '@/core/judge/finding';
import type { Operation } from '@/core/craft/operation';
import { moveChange } from '@/core/compile/reorder';
import { SEVERITY } from '../kit/words';
import { announcing } from '../kit/announcing';
import { useStudioStore } from '../studio/studio';
import classes from './LayersView.module.css';

interface Props {
  operations: readonly Operation[];
  findings: readonly Finding[];
  current: number;
  onChoose: (index: number) => void;
}

/** A nail's operations from the plate upwards, with the cures between; drag one, or move it with Alt and the arrows. */
export function StepStrip({ operations, findings, current, onChoose }: Props) {
  const store = useStudioStore();
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 5 } }));
  const move = (from: number, to: number) => {
    const { set, change } = store.getState();
    const moved = moveChange(operations, from, to, set.edits);
    if (moved) change(moved);
  };
  return (
    <DndContext
      id="steps"
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
          {operations.map((operation, index) => (
            <Step
              key={operation.id}
              operation={operation}
              index={index}
              current={current}
              worst={findings.find((finding) => finding.operation === operation.id)?.severity}
              onChoose={onChoose}
              onMove={move}
            />
          ))}
        </ol>
      </SortableContext>
    </DndContext>
  );
}

interface StepProps {
  operation: Operation;
  index: number;
  current: number;
  worst: Finding['severity'] | undefined;
  onChoose: (index: number) => void;
  onMove: (from: number, to: number) => void;
}

function Step({ operation, index, current, worst, onChoose, onMove }: StepProps) {
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
            onChoose(Math.max(0, to));
            const item = event.currentTarget.closest('li');
            const next = event.key === 'ArrowUp' ? item?.previousElementSibling : item?.nextElementSibling;
            next?.querySelector('button')?.focus();
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
