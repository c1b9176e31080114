'use client';
import { Button } from '@mantine/core';
import { useState } from 'react';
import { IconArrowDown, IconArrowUp, IconPlus } from '@tabler/icons-react';
import { wantsFor } from '@/core/craft/surfaces';
import { drawnAgain } from '@/core/craft/layering';
import { windowWords } from '@/core/timing/windows';
import { laidBy, type Operation } from '@/core/craft/operation';
import { editsAbout, moveChange } from '@/core/compile/reorder';
import { PutIn } from './PutIn';
import { StepHead } from './StepHead';
import { useStudio, useStudioStore } from '../studio/studio';
import classes from './LayersView.module.css';

interface Props {
  operations: readonly Operation[];
  index: number;
  surface: string;
  /** What it meets, in words. */
  before: string | undefined;
  onChoose: (index: number) => void;
  /** The operation of that id, once it is planned. */
  onComing: (id: string) => void;
}

/** Why a step stands where it does, what it meets and leaves, and what can be done with it. */
export function StepDetail({ operations, index, surface, before, onChoose, onComing }: Props) {
  const operation = operations[index]!;
  const window = useStudio((s) => s.plan?.windows[operation.id]);
  const again = drawnAgain(operation, before);
  const [putting, setPutting] = useState<string>();
  const edits = useStudio((s) => s.set.edits);
  const products = useStudio((s) => s.set.kit.products);
  const wants = wantsFor(
    operation.verb,
    laidBy(operation, (id) => products.find((one) => one.id === id)!),
  );
  const { change } = useStudioStore().getState();
  const said = editsAbout(edits, operation.id);
  const skippedHere = edits.filter((edit) => edit.kind === 'skip' && edit.a.startsWith(`${operation.nail}/`));
  const move = (to: number) => {
    const moved = moveChange(operations, index, to, edits);
    if (moved) change(moved);
  };
  return (
    <article className={classes.detail}>
      <StepHead operation={operation} ends={index === 0 || index === operations.length - 1} />
      {operation.caution && (
        <p className={classes.caution}>
          Caution: {operation.caution} Follow the product, your local code and your licence.
        </p>
      )}
      <dl>
        <dt>Wants</dt>
        <dd>{wants}</dd>
        <dt>Leaves</dt>
        <dd>{surface}</dd>
        {window && (
          <>
            <dt>Then</dt>
            <dd>{windowWords(window)}</dd>
          </>
        )}
        {again && (
          <>
            <dt>Until the lamp</dt>
            <dd>{again}</dd>
          </>
        )}
        {operation.deposit && 't_um' in operation.deposit && (
          <>
            <dt>Thickness</dt>
            <dd>{Math.round(operation.deposit.t_um)} µm</dd>
          </>
        )}
        {operation.lamp && (
          <>
            <dt>Lamp</dt>
            <dd>
              {operation.lamp.mode === 'cure' ? 'cure' : 'flash'}, {operation.lamp.seconds} s
            </dd>
          </>
        )}
      </dl>
      <div className={classes.actions}>
        <Button
          variant="default"
          leftSection={<IconArrowUp size={18} />}
          disabled={index === 0}
          onClick={() => move(index - 1)}
        >
          Earlier
        </Button>
        <Button
          variant="default"
          leftSection={<IconArrowDown size={18} />}
          disabled={index === operations.length - 1}
          onClick={() => move(index + 1)}
        >
          Later
        </Button>
        <Button
          variant="default"
          onClick={() => {
            change({ kind: 'add-edit', edit: { kind: 'skip', a: operation.id } });
            onChoose(Math.max(0, index - 1));
          }}
        >
          Leave it out
        </Button>
        <Button
          variant="default"
          leftSection={<IconPlus size={18} />}
          aria-expanded={putting === operation.id}
          onClick={() => setPutting(putting === operation.id ? undefined : operation.id)}
        >
          Put in after it
        </Button>
        {said.length > 0 && (
          <Button
            variant="default"
            onClick={() =>
              change({ kind: 'many', changes: said.map((edit) => ({ kind: 'remove-edit' as const, edit })) })
            }
          >
            Back to the craft’s order
          </Button>
        )}
        {skippedHere.map((edit) => (
          <Button
            key={JSON.stringify(edit)}
            variant="default"
            onClick={() => change({ kind: 'remove-edit', edit })}
          >
            Bring back{' '}
            {edit.kind === 'skip'
              ? edit.a.split('/').slice(1).join(' ').replace(/#1$/, '').replace('-', ' ')
              : ''}
          </Button>
        ))}
      </div>
      {putting === operation.id && (
        <PutIn
          after={operation}
          onDone={(id) => {
            setPutting(undefined);
            if (id) onComing(id);
          }}
        />
      )}
    </article>
  );
}
