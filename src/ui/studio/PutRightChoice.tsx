'use client';
import { Button, Modal } from '@mantine/core';
import { useEffect, useReducer, useState } from 'react';
import { applyChange } from '@/core/document/changes';
import type { SetDocument } from '@/core/document/document';
import { nailWords, type NailName } from '@/core/model/names';
import { upperFirst } from '@/core/model/letters';
import { putRightWords, type RightStep } from '@/core/plan/putRight';
import { putRight, stopPuttingRight, RANK } from '@/workers/planner';
import type { Righted } from '@/workers/plannerApi';
import { StillPicture } from '../kit/StillPicture';
import { unforeseen } from '../kit/unforeseen';
import { usePicture } from '../kit/usePictures';
import { useStudioStore } from './studio';
import classes from './PutRightChoice.module.css';

interface Props {
  /** Whose findings are to go. */
  nails: readonly NailName[];
  onClose: () => void;
}

/** The smallest change that clears what is found: sought, shown beside what is there, and only then taken. */
export function PutRightChoice({ nails, onClose }: Props) {
  const store = useStudioStore();
  // As it is now: what is changed meanwhile is not overwritten by what was found for something else.
  const [set] = useState(() => store.getState().set);
  const [share, setShare] = useState(0);
  const [made, setMade] = useState<Righted>();
  const [failed, setFailed] = useState(false);
  const [tries, again] = useReducer((n: number) => n + 1, 0);
  useEffect(() => {
    let stale = false;
    putRight(set, nails, (part) => {
      if (!stale) setShare(part);
    })
      .then((found) => {
        if (!stale && found) setMade(found);
      })
      .catch((error: unknown) => {
        if (stale) return;
        setFailed(true);
        unforeseen(error);
      });
    return () => {
      stale = true;
      stopPuttingRight();
    };
  }, [set, nails, tries]);
  const of = nails.length === 1 ? `the ${nailWords(nails[0]!)}` : 'the set';
  const after = made?.change && applyChange(set, made.change);
  return (
    <Modal opened onClose={onClose} title={`Put ${of} right`} size={620} centered>
      {failed && (
        <p role="alert" className={classes.said}>
          No changes could be tried.{' '}
          <Button
            variant="default"
            onClick={() => {
              setFailed(false);
              again();
            }}
          >
            Try again
          </Button>
        </p>
      )}
      {!made && !failed && (
        <div role="status">
          <p className={classes.said}>Trying changes on the nail …</p>
          <progress className={classes.progress} max={1} value={share} aria-label="Tried so far" />
          <Button fullWidth variant="default" onClick={onClose} data-autofocus>
            Cancel
          </Button>
        </div>
      )}
      {made && (
        <>
          <p className={classes.said}>{putRightWords(made)}</p>
          {after?.ok && made.orders[0] ? (
            <Difference before={set} after={after.value} made={made} />
          ) : (
            <Steps steps={made.steps} />
          )}
          {made.change ? (
            <>
              <Button
                fullWidth
                mb="sm"
                data-autofocus
                onClick={() => {
                  store.getState().change(made.change!);
                  onClose();
                }}
              >
                {made.steps.length === 1 ? 'Make this change' : `Make these ${made.steps.length} changes`}
              </Button>
              <Button fullWidth variant="default" onClick={onClose}>
                Leave it as it is
              </Button>
            </>
          ) : (
            <Button fullWidth variant="default" onClick={onClose} data-autofocus>
              Close
            </Button>
          )}
        </>
      )}
    </Modal>
  );
}

const PX_PER_MM = 7;
/** So many lines of a difference are read; the order itself has them all. */
const MOST_LINES = 8;

function Steps({ steps }: { steps: readonly RightStep[] }) {
  if (steps.length === 0) return null;
  return (
    <ol className={classes.steps}>
      {steps.map(({ words }, i) => (
        <li key={`${words}${i}`}>{words}</li>
      ))}
    </ol>
  );
}

/** Each nail it touches, one at a time: before and after, and what becomes of its order. */
function Difference({ before, after, made }: { before: SetDocument; after: SetDocument; made: Righted }) {
  const [shown, setShown] = useState(0);
  const { nail, difference } = made.orders[shown]!;
  const alone = made.orders.length === 1;
  const steps = made.steps.filter((one) => alone || one.nail === undefined || one.nail === nail);
  const [was, is] = [
    usePicture(before, nail, PX_PER_MM * 2, RANK.large),
    usePicture(after, nail, PX_PER_MM * 2, RANK.large),
  ];
  const lines = [
    ...difference.added.map((words) => ['+', 'Put in', words] as const),
    ...difference.out.map((words) => ['−', 'Left out', words] as const),
    ...difference.moved.map((words) => ['↕', 'Elsewhere', words] as const),
    ...difference.changed.map((words) => ['≠', 'Otherwise', words] as const),
  ];
  return (
    <>
      {!alone && (
        <div className={classes.nails} role="group" aria-label="Nails it touches">
          {made.orders.map((one, i) => (
            <button
              key={one.nail}
              type="button"
              className={classes.nail}
              aria-pressed={i === shown}
              onClick={() => setShown(i)}
            >
              {nailWords(one.nail).replace(' finger', '')}
            </button>
          ))}
        </div>
      )}
      <Steps steps={steps} />
      {steps.length === 0 && <p className={classes.more}>By what is changed for the other nails.</p>}
      <div className={classes.both} data-testid="difference">
        <figure>
          <StillPicture picture={was} px_per_mm={PX_PER_MM} />
          <figcaption>Now</figcaption>
        </figure>
        <figure>
          <StillPicture picture={is} px_per_mm={PX_PER_MM} />
          <figcaption>Then</figcaption>
        </figure>
        <section className={classes.order}>
          <h3>{upperFirst(nailWords(nail))}, its order</h3>
          {lines.length === 0 ? (
            <p className={classes.more}>The same steps.</p>
          ) : (
            <ul>
              {lines.slice(0, MOST_LINES).map(([mark, says, words], i) => (
                <li key={`${words}${i}`}>
                  <b aria-label={says}>{mark}</b>
                  {words}
                </li>
              ))}
            </ul>
          )}
          {lines.length > MOST_LINES && <p className={classes.more}>and {lines.length - MOST_LINES} more</p>}
        </section>
      </div>
    </>
  );
}
