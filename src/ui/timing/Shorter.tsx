'use client';
import { ActionIcon, Button } from '@mantine/core';
import { IconPin, IconPinFilled } from '@tabler/icons-react';
import { useCallback, useMemo, useState } from 'react';
import { applyChange, type Change } from '@/core/document/changes';
import type { SetDocument } from '@/core/document/document';
import type { Plan } from '@/core/plan/planSet';
import type { Bundle } from '@/core/plan/shorten';
import { forecastFor, shorteningsOf, withinTime } from '@/workers/planner';
import { StoredFigure } from '../kit/StoredFigure';
import { useAnswer } from '../kit/useAnswer';
import { timeWords } from '@/core/model/times';
import { LittleHands } from '../sets/LittleHands';
import { useStudio, useStudioStore } from '../studio/studio';
import classes from './TimingView.module.css';

/** What was taken up: the set it led to and the one before, how long that took, and what was said to be saved. */
interface Taken {
  of: SetDocument;
  saves_s: number;
  before_s: number;
}

/** Figures that differ by less than this are one figure. */
const ALIKE_S = 30;
const HANDS_PX = 260;

/** What a shortening has brought, beside what it was said to bring: the long search may find more, or less. */
function keptWords({ saves_s, before_s }: Taken, total_s: number): string {
  const saved_s = before_s - total_s;
  const found = saved_s > 0 ? `it saves ${timeWords(saved_s)}` : 'it saves nothing';
  return Math.abs(saved_s - saves_s) <= ALIKE_S
    ? `Done: ${found}.`
    : `It was to save ${timeWords(saves_s)}; with all searched for, ${found}.`;
}

/** What could go or be simpler, most first; what would do for the time there is; each taken and undone in one press. */
export function Shorter({ set, plan: shown }: { set: SetDocument; plan: Plan }) {
  const list = useAnswer(useCallback(() => shorteningsOf(set), [set]));
  const forecast = useAnswer(useCallback(() => forecastFor(set, shown), [set, shown]));
  const store = useStudioStore();
  const plan = useStudio((s) => (s.planning === 'fresh' ? s.plan : undefined));
  const settled = useStudio((s) => s.settled || s.searchFailed);
  const [taken, setTaken] = useState<Taken>();
  const [goal_min, setGoal] = useState<number>();
  const known = typeof forecast === 'object' ? forecast : undefined;
  const found = Array.isArray(list) ? list : [];

  function take(change: Change, saves_s: number) {
    const before = store.getState();
    before.change(change);
    if (before.plan) setTaken({ of: store.getState().set, saves_s, before_s: before.plan.sitting.total_s });
  }
  const mine = taken?.of === set ? taken : undefined;
  const kept = mine && plan && settled ? keptWords(mine, plan.sitting.total_s) : undefined;
  return (
    <section className={classes.shorter} aria-label="What would shorten it">
      <div className={classes.goal}>
        <StoredFigure label="I have, minutes" value={goal_min ?? ''} min={10} max={600} onPut={setGoal} />
        {known && (
          <p className={classes.soft}>
            Nine of ten such evenings are over in <b>{timeWords(known.nine_s)}</b>.
          </p>
        )}
      </div>
      {goal_min !== undefined && known && Array.isArray(list) && (
        <InTime
          key={goal_min}
          set={set}
          goal_s={goal_min * 60}
          nine_s={known.nine_s}
          share={known.nine_s / Math.max(1, shown.sitting.total_s)}
          list={list}
          onTake={take}
        />
      )}
      {kept && (
        <p role="status">
          {kept}{' '}
          <Button variant="default" size="compact-md" onClick={() => store.temporal.getState().undo()}>
            Take it back
          </Button>
        </p>
      )}
      {!list && <p className={classes.soft}>Trying it without …</p>}
      {list === 'failed' && <p className={classes.soft}>It could not be tried.</p>}
      {list && found.length === 0 && <p className={classes.soft}>Nothing that saves half a minute.</p>}
      <ul className={classes.simpler}>
        {found.map((one) => (
          <li key={one.words}>
            <span className={classes.does}>
              <span className={classes.saves}>{timeWords(one.saves_s)}</span>
              <span>{one.words}</span>
            </span>
            <Hands set={set} change={one.change} />
            <span className={classes.does}>
              <Button variant="default" onClick={() => take(one.change, one.saves_s)}>
                Do it
              </Button>
              <ActionIcon
                variant="subtle"
                color="gray"
                size={44}
                aria-label={`Keep it: ${one.words}`}
                title="Keep it as it is: not proposed any more"
                onClick={() => store.getState().change({ kind: 'keep', key: one.key, keeps: true })}
              >
                <IconPin size={20} />
              </ActionIcon>
            </span>
          </li>
        ))}
      </ul>
      {(set.keeps ?? []).length > 0 && (
        <p className={classes.does}>
          <IconPinFilled size={18} aria-hidden />
          {set.keeps!.length === 1 ? 'One thing is' : `${set.keeps!.length} things are`} kept as they are.{' '}
          <Button
            variant="default"
            size="compact-md"
            onClick={() =>
              store.getState().change({
                kind: 'many',
                changes: set.keeps!.map((key) => ({ kind: 'keep', key, keeps: false })),
              })
            }
          >
            Propose {set.keeps!.length === 1 ? 'it' : 'them'} again
          </Button>
        </p>
      )}
    </section>
  );
}

/** The set as it would look: only where it would look otherwise. */
function Hands({ set, change }: { set: SetDocument; change: Change }) {
  const next = useMemo(() => {
    const made = applyChange(set, change);
    return made.ok ? made.value : undefined;
  }, [set, change]);
  const looks = next && (next.looks !== set.looks || next.nails !== set.nails);
  if (!looks) return <p className={classes.soft}>Looks the same.</p>;
  return <LittleHands set={next} width={HANDS_PX} />;
}

interface InTimeProps {
  set: SetDocument;
  goal_s: number;
  nine_s: number;
  /** By how much nine of ten evenings are longer than the plan. */
  share: number;
  list: Parameters<typeof withinTime>[2];
  onTake: (change: Change, saves_s: number) => void;
}

/** What to leave out together, so that nine of ten evenings keep the time there is. */
function InTime({ set, goal_s, nine_s, share, list, onTake }: InTimeProps) {
  const bundle = useAnswer(
    useCallback(
      () =>
        nine_s <= goal_s
          ? Promise.resolve(null)
          : withinTime(set, goal_s / share, list).then((one): Bundle | null => one ?? null),
      [set, goal_s, nine_s, share, list],
    ),
  );
  if (nine_s <= goal_s) return <p role="status">It fits as it is.</p>;
  if (bundle === undefined) return <p className={classes.soft}>Planned together …</p>;
  if (bundle === 'failed') return <p className={classes.soft}>It could not be tried.</p>;
  if (bundle === null) return <p role="status">Nothing of it can be simpler by half a minute.</p>;
  const reached_s = bundle.total_s * share;
  const fits = reached_s <= goal_s + ALIKE_S;
  return (
    <div className={classes.sideBySide} data-testid="in-time">
      <div>
        <p role="status">
          {fits ? 'This together does it' : 'All of it together is not enough'}: nine of ten are over in{' '}
          <b>{timeWords(reached_s)}</b>.
        </p>
        <ol className={classes.together}>
          {bundle.of.map(({ words }) => (
            <li key={words}>{words}</li>
          ))}
        </ol>
        <Button onClick={() => onTake(bundle.change, bundle.saves_s)}>Do all of it</Button>
      </div>
      <Hands set={set} change={bundle.change} />
    </div>
  );
}
