'use client';
import { CloseButton } from '@mantine/core';
import { nailsOf } from '@/core/judge/finding';
import type { Operation } from '@/core/craft/operation';
import { nailWords, type NailName } from '@/core/model/names';
import { orderDifference } from '@/core/plan/orderDifference';
import type { SetDocument } from '@/core/document/document';
import { NailCanvas } from '../kit/NailCanvas';
import { useStudio } from '../studio/studio';
import { useStage } from './useStage';
import { StepStrip } from './StepStrip';
import classes from './LayersView.module.css';

const PX_PER_MM = 6;
const NO_OPERATIONS: readonly Operation[] = [];

interface Props {
  set: SetDocument;
  nail: NailName;
  /** The nail it stands beside, with its step. */
  against: readonly Operation[];
  at: Operation | undefined;
  onStep: (id: string) => void;
  onClose: () => void;
}

/** Another nail beside the one that is looked at: its order, and how it looks after the same step. */
export function Beside({ set, nail, against, at, onStep, onClose }: Props) {
  const operations = useStudio((s) => s.plan?.operations[nail]) ?? NO_OPERATIONS;
  const findings = useStudio((s) => s.plan?.findings)?.filter((one) => nailsOf(one).includes(nail)) ?? [];
  const same = operations.findIndex((one) => at !== undefined && stepOf(one.id) === stepOf(at.id));
  const done = same < 0 ? operations.length : same + 1;
  const { stage } = useStage(set, nail, operations.length, done, PX_PER_MM * 2);
  const onIt = (list: readonly Operation[]) => list.map(({ id, words }) => ({ id: stepOf(id), words }));
  const { added, out, moved } = orderDifference(onIt(against), onIt(operations));
  return (
    <section aria-label={`Beside it: ${nailWords(nail)}`}>
      <div className={classes.besideHead}>
        <h2>{nailWords(nail)}</h2>
        <CloseButton aria-label="Close the nail beside it" onClick={onClose} size={44} />
      </div>
      <div className={classes.besidePicture}>
        <NailCanvas
          picture={stage?.picture}
          px_per_mm={PX_PER_MM}
          label={`${nailWords(nail)} after ${same < 0 ? 'all' : `step ${done}`}`}
        />
      </div>
      <p className={classes.besideNote}>
        {added.length + out.length + moved.length === 0
          ? 'The same steps in the same order.'
          : [
              added.length > 0 ? `${added.length} only here` : '',
              out.length > 0 ? `${out.length} only there` : '',
              moved.length > 0 ? `${moved.length} in another place` : '',
            ]
              .filter(Boolean)
              .join(', ')}
      </p>
      <StepStrip
        id="steps-beside"
        operations={operations}
        findings={findings}
        current={done - 1}
        onChoose={(index) => {
          const step = stepOf(operations[index]!.id);
          const there = against.find((one) => stepOf(one.id) === step);
          if (there) onStep(there.id);
        }}
      />
    </section>
  );
}

/** An operation's id without its nail: the same work on another one has the same. */
function stepOf(id: string): string {
  return id.slice(id.indexOf('/') + 1);
}
