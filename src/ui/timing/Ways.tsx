'use client';
import { Button } from '@mantine/core';
import { useEffect, useMemo, useState } from 'react';
import { applyChange } from '@/core/document/changes';
import type { SetDocument } from '@/core/document/document';
import type { NailName } from '@/core/model/names';
import type { Plan } from '@/core/plan/planSet';
import { waysOfWorking, type WayMeasured, type WayOfWorking } from '@/core/plan/waysOfWorking';
import { wayMeasured } from '@/workers/planner';
import { timeWords } from '@/core/model/times';
import { useStudioStore } from '../studio/studio';
import { Lanes } from './Lanes';
import classes from './TimingView.module.css';

/** Other ways to work the same set, each planned, beside how it is worked now; two of them lane by lane. */
export function Ways({ set, plan, worked }: { set: SetDocument; plan: Plan; worked: readonly NailName[] }) {
  const ways = useMemo(
    () => [
      { key: 'now', words: 'As it is worked now', change: { kind: 'many', changes: [] } } as WayOfWorking,
      ...waysOfWorking(set),
    ],
    [set],
  );
  const found = useMeasured(set, ways);
  const now = found.get('now');
  const [beside, setBeside] = useState<string>();
  const shown = beside === undefined ? undefined : found.get(beside);
  const store = useStudioStore();
  // At one scale, so that what is longer is longer.
  const longest_s = Math.max(plan.sitting.total_s, shown?.total_s ?? 0);
  return (
    <section aria-label="Ways of working compared">
      <h2>The same set, worked otherwise</h2>
      <div className={classes.across}>
        <table className={classes.figuresTable} data-testid="ways">
          <thead>
            <tr>
              <th scope="col">Way of working</th>
              <th scope="col" className={classes.number}>
                Planned
              </th>
              <th scope="col" className={classes.number}>
                Nine of ten
              </th>
              <th scope="col" className={classes.number}>
                Loads
              </th>
              <th scope="col" className={classes.number}>
                Rounds
              </th>
              <th scope="col" className={classes.number}>
                Torn
              </th>
              <th scope="col" className={classes.number}>
                Taken up again
              </th>
              <th scope="col" className={classes.number}>
                Waits
              </th>
              <td />
            </tr>
          </thead>
          <tbody>
            {ways.map(({ key, words, change, helped }) => {
              const one = found.get(key);
              return (
                <tr key={key} data-now={key === 'now' || undefined}>
                  <td>{words}</td>
                  <Figures one={one} now={now} />
                  <td>
                    {one && key !== 'now' && (
                      <>
                        <Button
                          variant="default"
                          size="compact-md"
                          aria-pressed={beside === key}
                          onClick={() => setBeside(beside === key ? undefined : key)}
                        >
                          Beside it
                        </Button>{' '}
                        {!helped && (
                          <Button
                            variant="default"
                            size="compact-md"
                            onClick={() => store.getState().change(change)}
                          >
                            Work so
                          </Button>
                        )}
                      </>
                    )}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
      <p className={classes.soft}>
        A round is one step on one hand; torn are those in which some of its nails are done apart, taken up
        again is what was put away before. Each way is searched for shortly and alike; what is taken is
        searched for at length. What a helper can do stands on the card.
      </p>
      {shown && now && (
        <div data-testid="two-plans">
          <h2>As it is worked now</h2>
          <Lanes rounds={plan.rounds} total_s={longest_s} worked={worked} label="Lanes as it is worked now" />
          <h2>{ways.find(({ key }) => key === beside)?.words}</h2>
          <Lanes rounds={shown.rounds} total_s={longest_s} worked={worked} label="Lanes worked otherwise" />
        </div>
      )}
    </section>
  );
}

function Figures({ one, now }: { one: WayMeasured | undefined; now: WayMeasured | undefined }) {
  if (!one)
    return (
      <td colSpan={7} className={classes.soft}>
        planned …
      </td>
    );
  return (
    <>
      <td className={classes.number}>
        {timeWords(one.total_s)} <Differs by_s={now && now !== one ? one.total_s - now.total_s : 0} />
      </td>
      <td className={classes.number}>{timeWords(one.nine_s)}</td>
      <td className={classes.number}>{one.loads}</td>
      <td className={classes.number}>{one.lines}</td>
      <td className={classes.number}>{one.torn}</td>
      <td className={classes.number}>{one.returns}</td>
      <td className={classes.number}>{timeWords(one.idle_s)}</td>
    </>
  );
}

function Differs({ by_s }: { by_s: number }) {
  if (Math.abs(by_s) < 30) return null;
  return (
    <small className={classes.soft}>
      {by_s < 0 ? '−' : '+'}
      {timeWords(Math.abs(by_s))}
    </small>
  );
}

/** What each way comes to, as it is planned one after the other. */
function useMeasured(set: SetDocument, ways: readonly WayOfWorking[]): ReadonlyMap<string, WayMeasured> {
  const [found, setFound] = useState<{ of: SetDocument; ways: ReadonlyMap<string, WayMeasured> }>();
  const known = useMemo(
    () => (found?.of === set ? found.ways : new Map<string, WayMeasured>()),
    [found, set],
  );
  const next = ways.find(({ key }) => !known.has(key));
  useEffect(() => {
    const made = next && applyChange(set, next.change);
    if (!next || !made?.ok) return;
    let stale = false;
    wayMeasured(made.value, next.helped === true).then(
      (one) => {
        if (!stale) setFound({ of: set, ways: new Map(known).set(next.key, one) });
      },
      () => undefined,
    );
    return () => {
      stale = true;
    };
  }, [set, next, known]);
  return known;
}
