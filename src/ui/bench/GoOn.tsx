'use client';
import { Button } from '@mantine/core';
import { useState } from 'react';
import { courseOf, endOf_s } from '@/core/bench/course';
import { begunOf } from '@/core/bench/state';
import { applyChange, type Change } from '@/core/document/changes';
import type { SetDocument } from '@/core/document/document';
import type { Plan } from '@/core/plan/planSet';
import { goOnFrom } from '@/workers/planner';
import { notify } from '../kit/notify';
import { clockWords, countWords, timeWords } from '../kit/words';
import { useStudioStore } from '../studio/studio';
import { unforeseen } from '../kit/unforeseen';
import { benchMark, type Table } from './useBench';
import classes from './BenchView.module.css';

/** A new plan of the rest, before it is taken. */
interface Asked {
  why: string;
  change: Change | undefined;
  set: SetDocument;
  /** Undefined while it is worked out. */
  plan: Plan | undefined;
  /** When it was asked, and when the sitting would have ended. */
  was_s: number;
}

export interface Going {
  asked: Asked | undefined;
  /** Plans the rest from where the table stands, with a change of the set where one is wanted. */
  ask: (why: string, change?: Change) => void;
  take: () => void;
  leave: () => void;
}

/** Replans from here: shown before it is taken. */
export function useGoingOn(at: Table): Going {
  const store = useStudioStore();
  const [asked, setAsked] = useState<Asked>();
  return {
    asked,
    ask: (why, change) => {
      const bench = at.latest();
      const begun = bench ? begunOf(bench, at.time()) : undefined;
      const now = store.getState().set;
      const next = change ? applyChange(now, change) : undefined;
      if (!bench || !begun) return;
      if (next && !next.ok) {
        notify(next.faults[0]!.message);
        return;
      }
      const set = next ? next.value : now;
      const was_s = endOf_s(bench.course);
      setAsked({ why, change, set, plan: undefined, was_s });
      goOnFrom(set, begun).then(
        (plan) => setAsked((one) => (one ? { ...one, plan } : one)),
        (error: unknown) => {
          setAsked(undefined);
          unforeseen(error);
        },
      );
    },
    take: () => {
      const bench = at.latest();
      if (!asked?.plan || !bench) return;
      if (asked.change) store.getState().change(asked.change);
      at.put({
        ...bench,
        mark: benchMark(asked.set),
        course: courseOf(asked.plan, asked.set),
        events: [...bench.events, { what: 'replanned', at_ms: at.time(), why: asked.why }],
      });
      setAsked(undefined);
    },
    leave: () => setAsked(undefined),
  };
}

/** The rest as it would be: when it ends, and what would be found. */
export function GoOn({ going }: { going: Going }) {
  const { asked } = going;
  if (!asked) return null;
  const { plan, was_s } = asked;
  const by_s = plan ? plan.sitting.total_s - was_s : 0;
  const told = plan?.findings.filter(({ severity }) => severity !== 'note') ?? [];
  return (
    <section className={classes.goOn} role="status" aria-label="The rest, planned from here">
      <p>
        <b>{asked.why}.</b>{' '}
        {plan
          ? `From here it ends at ${clockWords(plan.sitting.total_s)} of the sitting, ${
              Math.abs(by_s) < 30
                ? 'about as before'
                : `${timeWords(Math.abs(by_s))} ${by_s > 0 ? 'later' : 'sooner'} than planned`
            }. ${countWords(plan.findings)}.`
          : 'The rest is planned from here …'}
      </p>
      {told.slice(0, 3).map((one) => (
        <p key={one.id} className={classes.caution}>
          {one.message}
        </p>
      ))}
      <div className={classes.goOnButtons}>
        <Button disabled={!plan} onClick={going.take}>
          Go on so
        </Button>
        <Button variant="default" onClick={going.leave}>
          Leave it as it was
        </Button>
      </div>
    </section>
  );
}
