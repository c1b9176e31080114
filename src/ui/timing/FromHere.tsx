'use client';
import { closestCenter, DndContext, PointerSensor, useSensor, useSensors } from '@dnd-kit/core';
import { SortableContext, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { ActionIcon } from '@mantine/core';
import { IconPinnedOff } from '@tabler/icons-react';
import { useMemo, useState } from 'react';
import type { SetDocument } from '@/core/document/document';
import type { NailName } from '@/core/model/names';
import { workBeginsAt } from '@/core/plan/appointed';
import { pinned, pinsOf } from '@/core/plan/pins';
import type { Plan } from '@/core/plan/planSet';
import { whoseWords, type Round } from '@/core/timing/rounds';
import { announcing } from '../kit/announcing';
import { clockWords } from '@/core/model/times';
import { handWords, momentWords } from '../kit/words';
import { restrictToVertical } from '../layers/restrict';
import { useStudio } from '../studio/studio';
import classes from './TimingView.module.css';

/** As many as are looked through at once; the card has them all. */
const MOST = 20;

interface Props {
  plan: Plan;
  set: SetDocument;
  worked: readonly NailName[];
  at_s: number;
}

/** What is done from the chosen moment on; a round that is moved before another is held there, however the rest is planned. */
export function FromHere({ plan, set, worked, at_s }: Props) {
  const { rounds } = plan;
  const change = useStudio((s) => s.change);
  const [told, setTold] = useState<string>();
  const next = rounds.filter((round) => round.end_s > at_s).slice(0, MOST);
  const pins = useMemo(() => pinsOf(set, rounds), [set, rounds]);
  const begins = workBeginsAt(set.appointment, plan.ahead_s);
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 5 } }));
  function move(from: number, to: number) {
    const made = pinned(set, plan, from, to);
    setTold(made.ok ? undefined : made.faults[0]!.message);
    if (made.ok) change(made.value);
  }
  const at = (number: number) => rounds.findIndex((round) => round.number === number);
  return (
    <section className={classes.next} aria-label={`From ${clockWords(at_s)} on`} tabIndex={0}>
      <h2>From {clockWords(at_s)} on</h2>
      {told && <p role="alert">{told}</p>}
      {pins.length > 0 && (
        <ul className={classes.pins} aria-label="Held in their order">
          {pins.map(({ first, then, change: letGo }) => (
            <li key={`${first} ${then}`}>
              <ActionIcon
                variant="subtle"
                color="gray"
                aria-label={`Let go: ${first} before ${then}`}
                title="Let go"
                onClick={() => change(letGo)}
              >
                <IconPinnedOff size={18} />
              </ActionIcon>
              <span>
                {first} <i>before</i> {then}
              </span>
            </li>
          ))}
        </ul>
      )}
      <DndContext
        id="rounds"
        accessibility={announcing(
          (id) => rounds.find((one) => one.number === Number(id))?.words,
          'Press Alt and an arrow to move this round.',
        )}
        sensors={sensors}
        collisionDetection={closestCenter}
        modifiers={[restrictToVertical]}
        onDragEnd={({ active, over }) => {
          if (over && over.id !== active.id) move(at(Number(active.id)), at(Number(over.id)));
        }}
      >
        <SortableContext items={next.map(({ number }) => number)} strategy={verticalListSortingStrategy}>
          <ol data-keeps-arrows>
            {next.map((round) => (
              <Line
                key={round.number}
                round={round}
                worked={worked}
                begins={begins}
                onMove={(by) => move(at(round.number), nextWork(rounds, at(round.number), by))}
              />
            ))}
          </ol>
        </SortableContext>
      </DndContext>
    </section>
  );
}

/** The next piece of work that way: loads follow what they harden. */
function nextWork(rounds: readonly Round[], from: number, by: -1 | 1): number {
  for (let i = from + by; i >= 0 && i < rounds.length; i += by) if (rounds[i]!.kind === 'work') return i;
  return from;
}

interface LineProps {
  round: Round;
  worked: readonly NailName[];
  begins: Date | undefined;
  onMove: (by: -1 | 1) => void;
}

function Line({ round, worked, begins, onMove }: LineProps) {
  const { number, kind, start_s, hand, nails, words, light } = round;
  const { setNodeRef, listeners, transform, transition, isDragging } = useSortable({
    id: number,
    disabled: kind === 'load',
  });
  const says = (
    <>
      <b>
        {handWords(hand)}
        {whoseWords(nails, worked)}
      </b>{' '}
      {words}
      {light ? `, ${light.seconds} s` : ''}
    </>
  );
  return (
    <li
      ref={setNodeRef}
      className={kind === 'load' ? classes.light : ''}
      data-dragging={isDragging || undefined}
      style={{ transform: CSS.Translate.toString(transform), transition }}
    >
      <span className={classes.when}>{momentWords(begins, Math.round(start_s / 10) * 10)}</span>
      {kind === 'load' ? (
        <span>{says}</span>
      ) : (
        <button
          type="button"
          {...listeners}
          className={classes.grip}
          title="Drag it, or Alt and an arrow, to hold it before another"
          onKeyDown={(event) => {
            if (!event.altKey || (event.key !== 'ArrowUp' && event.key !== 'ArrowDown')) return;
            event.preventDefault();
            onMove(event.key === 'ArrowUp' ? -1 : 1);
          }}
        >
          {says}
        </button>
      )}
    </li>
  );
}
