'use client';
import { Button } from '@mantine/core';
import { useCallback, useState } from 'react';
import type { SetDocument } from '@/core/document/document';
import { NAILS } from '@/core/model/names';
import type { Shortening } from '@/core/plan/shorten';
import { timedBy } from '@/core/plan/timedBy';
import { shorteningsOf } from '@/workers/planner';
import { useAnswer } from '../kit/useAnswer';
import { timeWords } from '../kit/words';
import { useStudio, useStudioStore } from '../studio/studio';
import { AtTheMoment } from './AtTheMoment';
import { FromHere } from './FromHere';
import { NoPlan } from '../studio/NoPlan';
import { Lanes } from './Lanes';
import { LoadList } from './LoadList';
import { WhenOver } from './WhenOver';
import classes from './TimingView.module.css';

/** The moment that is told before another is chosen. */
const LOOKED_AT_S = 2400;

/** How long, and who waits? */
export function TimingView() {
  const plan = useStudio((s) => s.plan);
  const set = useStudio((s) => s.set);
  const searched = useStudio((s) => s.searched);
  const planning = useStudio((s) => s.planning);
  const searchFailed = useStudio((s) => s.searchFailed);
  const [chosen, setAt] = useState(LOOKED_AT_S);
  if (!plan) return <NoPlan />;
  const { sitting } = plan;
  const at = Math.min(chosen, Math.max(0, Math.round(sitting.total_s) - 1));
  const worked = NAILS.filter((name) => set.nails[name].in_work);
  const loads = plan.rounds.filter((round) => round.kind === 'load').length;
  const spare = Math.round((1 - sitting.lower_bound_s / Math.max(1, sitting.total_s)) * 100);
  return (
    <div className={classes.view} data-stale={planning !== 'fresh' || undefined}>
      <header className={classes.head}>
        <div>
          <p className={classes.total} data-testid="total">
            {timeWords(sitting.total_s)}
          </p>
          <p className={classes.range}>
            until the client may leave; {timeWords(sitting.low_s)} to {timeWords(sitting.high_s)} in quick and
            slow hands
          </p>
          <p className={classes.range} data-testid="timed-by">
            {timedByWords(timedBy(NAILS.flatMap((name) => plan.operations[name])), set.practice.pace)}
          </p>
        </div>
        <dl className={classes.figures}>
          <div>
            <dt>One hand, then the other</dt>
            <dd>{timeWords(sitting.hand_after_hand_s)}</dd>
          </div>
          <div>
            <dt>Cannot be under</dt>
            <dd>
              {timeWords(sitting.lower_bound_s)}{' '}
              <small data-testid="spare">
                {searchFailed
                  ? 'no better was looked for'
                  : searched < 1
                    ? `looking for better … ${Math.round(searched * 100)} %`
                    : spare > 0
                      ? `at most ${spare} % to gain`
                      : 'this is as short as can be'}
              </small>
            </dd>
          </div>
          <div>
            <dt>Hands at work</dt>
            <dd>{timeWords(sitting.hand_work_s)}</dd>
          </div>
          <div>
            <dt>Lamp on</dt>
            <dd>
              {timeWords(sitting.lamp_s)} <small>{loads} loads</small>
            </dd>
          </div>
        </dl>
      </header>
      <Lanes rounds={plan.rounds} total_s={sitting.total_s} worked={worked} at_s={at} onAt={setAt} />
      <div className={classes.lower}>
        <FromHere rounds={plan.rounds} worked={worked} at_s={at} />
        <div className={classes.column}>
          <AtTheMoment set={set} rounds={plan.rounds} worked={worked} at_s={at} />
          <Shorter set={set} />
        </div>
        <div className={classes.column} tabIndex={0} role="group" aria-label="Its end, and its loads">
          <WhenOver set={set} plan={plan} />
          <LoadList rounds={plan.rounds} worked={worked} />
        </div>
      </div>
    </div>
  );
}

/** Whose times they are. */
function timedByWords({ own_s, guide_s }: ReturnType<typeof timedBy>, pace: keyof typeof PACE_WORDS): string {
  const guide = `the guide, for ${PACE_WORDS[pace]} hands`;
  if (own_s === 0) return `Timed by ${guide}`;
  const share = Math.round((own_s / (own_s + guide_s)) * 100);
  return share === 100
    ? 'Timed by your own times'
    : `Timed by your own times for ${share} % of the work, else by ${guide}`;
}

const PACE_WORDS = { new: 'new', usual: 'usual', practised: 'practised' } as const;

/** What was taken up: the set it led to, and how long the sitting was before. */
interface Taken {
  of: SetDocument;
  one: Shortening;
  before_s: number;
}

/** Figures that differ by less than this are one figure. */
const ALIKE_S = 30;

/** What a shortening has brought, beside what it was said to bring: the long search may find more, or less. */
function keptWords({ one, before_s }: Taken, total_s: number): string {
  const saved_s = before_s - total_s;
  const found = saved_s > 0 ? `it saves ${timeWords(saved_s)}` : 'it saves nothing';
  return Math.abs(saved_s - one.saves_s) <= ALIKE_S
    ? `Done: ${found}.`
    : `It was to save ${timeWords(one.saves_s)}; with all searched for, ${found}. Undo takes it back.`;
}

/** What would shorten it, most first; each can be taken at once and undone. */
function Shorter({ set }: { set: SetDocument }) {
  const list = useAnswer(useCallback(() => shorteningsOf(set), [set]));
  const store = useStudioStore();
  const found = Array.isArray(list) ? list : [];
  const plan = useStudio((s) => (s.planning === 'fresh' ? s.plan : undefined));
  const settled = useStudio((s) => s.settled || s.searchFailed);
  const [taken, setTaken] = useState<Taken>();
  function take(one: Shortening) {
    const before = store.getState();
    before.change(one.change);
    if (before.plan) setTaken({ of: store.getState().set, one, before_s: before.plan.sitting.total_s });
  }
  const kept =
    taken && taken.of === set && plan && settled ? keptWords(taken, plan.sitting.total_s) : undefined;
  return (
    <section className={classes.shorter} aria-label="What would shorten it">
      <h2>What would shorten it</h2>
      {kept && <p role="status">{kept}</p>}
      {!list && <p className={classes.soft}>Trying it without …</p>}
      {list === 'failed' && <p className={classes.soft}>It could not be tried.</p>}
      {list?.length === 0 && <p className={classes.soft}>Nothing that saves half a minute.</p>}
      <ul>
        {found.map((one) => (
          <li key={one.words}>
            <span className={classes.saves}>{timeWords(one.saves_s)}</span>
            <span>{one.words}</span>
            <Button variant="default" onClick={() => take(one)}>
              Do it
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
