'use client';
import { SegmentedControl } from '@mantine/core';
import { useState } from 'react';
import { NAILS } from '@/core/model/names';
import { timedBy } from '@/core/plan/timedBy';
import { timeWords } from '@/core/model/times';
import { useStudio } from '../studio/studio';
import { AtTheMoment } from './AtTheMoment';
import { Costs } from './Costs';
import { FromHere } from './FromHere';
import { NoPlan } from '../studio/NoPlan';
import { Lanes } from './Lanes';
import { LoadList } from './LoadList';
import { Shorter } from './Shorter';
import { Ways } from './Ways';
import { WhenOver } from './WhenOver';
import classes from './TimingView.module.css';

/** The moment that is told before another is chosen. */
const LOOKED_AT_S = 2400;

/** Where more than this lies between plan and bound, the bound is more likely to be loose than the plan to be poor. */
const LOOSE_PERCENT = 5;

const PART_WORDS = {
  moment: 'At the moment',
  over: 'When it is over',
  shorter: 'I have less time',
  costs: 'What costs most',
  ways: 'Worked otherwise',
} as const;
type Part = keyof typeof PART_WORDS;
const PARTS = Object.entries(PART_WORDS).map(([value, label]) => ({ value, label }));

/** How long, and who waits? */
export function TimingView() {
  const plan = useStudio((s) => s.plan);
  const set = useStudio((s) => s.set);
  const searched = useStudio((s) => s.searched);
  const planning = useStudio((s) => s.planning);
  const searchFailed = useStudio((s) => s.searchFailed);
  const [chosen, setAt] = useState(LOOKED_AT_S);
  const [part, setPart] = useState<Part>('moment');
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
            until the client may leave
            {plan.ahead_s > 0 && `, ${timeWords(plan.ahead_s)} of it before she comes`}
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
                      ? `at most ${spare} % to gain${spare > LOOSE_PERCENT ? ', and maybe nothing' : ''}`
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
      <div className={classes.asked}>
        <SegmentedControl
          aria-label="What is asked of it"
          data={PARTS}
          value={part}
          onChange={(next) => setPart(next as Part)}
        />
      </div>
      {part === 'moment' && (
        <div className={classes.lower}>
          <FromHere plan={plan} set={set} worked={worked} at_s={at} />
          <AtTheMoment set={set} rounds={plan.rounds} worked={worked} at_s={at} />
          <div className={classes.column} tabIndex={0} role="group" aria-label="Its loads">
            <LoadList rounds={plan.rounds} worked={worked} />
          </div>
        </div>
      )}
      {part !== 'moment' && (
        <div className={classes.one} tabIndex={0} role="group" aria-label={PART_WORDS[part]}>
          {part === 'over' && <WhenOver set={set} plan={plan} />}
          {part === 'shorter' && <Shorter set={set} plan={plan} />}
          {part === 'costs' && <Costs set={set} plan={plan} />}
          {part === 'ways' && <Ways set={set} plan={plan} worked={worked} />}
        </div>
      )}
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
