'use client';
import { Slider } from '@mantine/core';
import { useState } from 'react';
import { nailsOf } from '@/core/judge/finding';
import { NAILS, digitOf, nailWords, type NailName } from '@/core/model/names';
import type { Operation } from '@/core/craft/operation';
import { upperFirst } from '@/core/model/letters';
import { NailCanvas } from '../kit/NailCanvas';
import { SEVERITY } from '../kit/words';
import { PutRight } from '../studio/PutRight';
import { SetFinding } from '../studio/SetFinding';
import { NoPlan } from '../studio/NoPlan';
import { useStudio, useStudioStore } from '../studio/studio';
import { Pick } from '../kit/Pick';
import { Beside } from './Beside';
import { Cuts } from './Cuts';
import { Layering } from './Layering';
import { Play } from './Play';
import { StepDetail } from './StepDetail';
import { StepStrip } from './StepStrip';
import { useStage } from './useStage';
import classes from './LayersView.module.css';

const PX_PER_MM = 9;
const NO_OPERATIONS: readonly Operation[] = [];
const NO_SURFACES: readonly string[] = [];

const FOUND_NOTHING = {
  fresh: 'Nothing. Every layer has what it needs under it.',
  making: 'Planning …',
  failed: 'Not known: the set was not planned.',
} as const;

/** In what order, and why? One nail's operations, its columns, and what is found. */
export function LayersView() {
  const focus = useStudio((s) => s.focus);
  const plan = useStudio((s) => s.plan);
  const set = useStudio((s) => s.set);
  const store = useStudioStore();
  const operations = plan?.operations[focus] ?? NO_OPERATIONS;
  const [at, setAt] = useState<{ nail: string; id: string | undefined }>({ nail: focus, id: undefined });
  const chosen = at.nail === focus ? operations.findIndex((one) => one.id === at.id) : -1;
  const done = chosen >= 0 ? chosen + 1 : operations.length;
  const planning = useStudio((s) => s.planning);

  const { stage } = useStage(set, focus, operations.length, done, PX_PER_MM * 2);
  const [beside, setBeside] = useState<NailName>();

  const others = NAILS.filter((one) => one !== focus && set.nails[one].in_work);
  const findings = plan?.findings.filter((finding) => nailsOf(finding).includes(focus)) ?? [];
  const current = operations[done - 1];
  const choose = (index: number) => setAt({ nail: focus, id: operations[index]?.id });

  return (
    <div className={classes.view}>
      <nav className={classes.nails} aria-label="Nails">
        {NAILS.map((name) => {
          const worst = plan?.findings.find(
            (finding) => nailsOf(finding).includes(name) && finding.severity !== 'note',
          )?.severity;
          return (
            <button
              key={name}
              type="button"
              aria-pressed={name === focus}
              aria-label={nailWords(name)}
              className={classes.nail}
              onClick={() => store.getState().select([name])}
            >
              <b>{digitOf(name)}</b>
              <span>{name.split('-')[1]}</span>
              <span style={{ color: worst ? SEVERITY[worst].variable : undefined }} aria-hidden>
                {worst ? SEVERITY[worst].mark : ' '}
              </span>
            </button>
          );
        })}
      </nav>
      <section className={classes.strip} aria-label="Steps">
        <h2>
          {nailWords(focus)} {plan && <small>{operations.length} steps, plate first</small>}
        </h2>
        <StepStrip operations={operations} findings={findings} current={done - 1} onChoose={choose} />
      </section>
      <section className={classes.middle} aria-label="What is on the nail">
        {plan ? (
          <>
            <Cuts
              stage={stage}
              beside={
                <div className={classes.picture}>
                  <NailCanvas
                    picture={stage?.picture}
                    px_per_mm={PX_PER_MM}
                    label={`${nailWords(focus)} after step ${done}`}
                  />
                </div>
              }
            />
            <div className={classes.play}>
              <div className={classes.playHead}>
                <label id="play-label">
                  After step {done} of {operations.length}
                </label>
                <Play key={focus} done={done} count={operations.length} onStep={(step) => choose(step - 1)} />
              </div>
              <Slider
                aria-labelledby="play-label"
                min={1}
                max={Math.max(1, operations.length)}
                value={Math.max(1, done)}
                onChange={(value) => choose(value - 1)}
                label={null}
                size="lg"
                thumbSize={26}
                thumbLabel="Steps played"
              />
            </div>
          </>
        ) : (
          <NoPlan />
        )}
        {current && (
          <StepDetail
            operations={operations}
            index={done - 1}
            surface={plan?.surfaces[focus][done - 1] ?? ''}
            before={plan?.surfaces[focus][done - 2]}
            onChoose={choose}
            onComing={(id) => setAt({ nail: focus, id })}
          />
        )}
      </section>
      <aside className={classes.findings} aria-label="Findings, and what holds on what">
        {beside && beside !== focus && (
          <Beside
            set={set}
            nail={beside}
            against={operations}
            at={current}
            onStep={(id) => setAt({ nail: focus, id })}
            onClose={() => setBeside(undefined)}
          />
        )}
        <h2>What is found</h2>
        <PutRight nail={focus} />
        {findings.length === 0 ? (
          <p className={classes.quiet}>{FOUND_NOTHING[planning]}</p>
        ) : (
          findings.map((finding) => (
            <div
              key={finding.id}
              onFocus={() =>
                finding.operation && setAt({ nail: focus, id: onNail(finding.operation, focus) })
              }
            >
              <SetFinding finding={finding} />
            </div>
          ))
        )}
        {others.length > 0 && (
          <section className={classes.layering}>
            <h2>Two nails side by side</h2>
            <Pick
              label="Beside it"
              value={beside ?? ''}
              onChange={({ currentTarget }) =>
                setBeside((currentTarget.value || undefined) as NailName | undefined)
              }
              data={[
                { value: '', label: 'Choose a nail' },
                ...others.map((one) => ({ value: one, label: upperFirst(nailWords(one)) })),
              ]}
            />
          </section>
        )}
        <Layering
          operations={operations}
          surfaces={plan?.surfaces[focus] ?? NO_SURFACES}
          index={done - 1}
          onGo={({ operation }) => {
            store.getState().select([operation.nail]);
            setAt({ nail: operation.nail, id: operation.id });
          }}
        />
      </aside>
    </div>
  );
}

/** The same step on another nail: a finding about several names the step of its first. */
function onNail(operation: string, nail: string): string {
  return operation.replace(/^[a-z]+-[a-z]+/, nail);
}
