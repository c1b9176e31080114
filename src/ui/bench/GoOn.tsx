'use client';
import { Button } from '@mantine/core';
import { useMemo, useState } from 'react';
import { courseChange, type ChangedWork } from '@/core/bench/changed';
import { courseOf, endOf_s } from '@/core/bench/course';
import type { Bench } from '@/core/bench/log';
import { begunOf } from '@/core/bench/begun';
import { progressOf } from '@/core/bench/progress';
import { applyChange, type Change } from '@/core/document/changes';
import type { SetDocument } from '@/core/document/document';
import type { NailName } from '@/core/model/names';
import type { Plan } from '@/core/plan/planSet';
import { goOnFrom } from '@/workers/planner';
import { notify } from '../kit/notify';
import { clockWords, timeWords } from '@/core/model/times';
import { countWords } from '../kit/words';
import { whoseNails } from '../kit/whose';
import { useStudioStore } from '../studio/studio';
import { unforeseen } from '../kit/unforeseen';
import { benchMark, type Table } from './useBench';
import classes from './BenchView.module.css';

/** A new plan of the rest, before it is taken. */
interface Asked {
  why: string;
  change: Change | undefined;
  /** What of the log is for nothing then. */
  undone: readonly string[];
  set: SetDocument;
  /** Undefined while it is worked out. */
  plan: Plan | undefined;
  /** When it was asked, and when the sitting would have ended. */
  was_s: number;
}

export interface Going {
  asked: Asked | undefined;
  /** Plans the rest from where the table stands, with a change of the set where one is wanted. */
  ask: (why: string, change?: Change, undone?: readonly string[]) => void;
  take: () => void;
  leave: () => void;
}

/** Replans from here: shown before it is taken. */
export function useGoingOn(at: Table): Going {
  const store = useStudioStore();
  const [asked, setAsked] = useState<Asked>();
  return {
    asked,
    ask: (why, change, undone = []) => {
      const bench = at.latest();
      const begun = bench ? begunOf(withUndone(bench, undone, why, at.time()), at.time()) : undefined;
      const now = store.getState().set;
      const next = change ? applyChange(now, change) : undefined;
      if (!bench || !begun) return;
      if (next && !next.ok) {
        notify(next.faults[0]!.message);
        return;
      }
      const set = next ? next.value : now;
      const was_s = endOf_s(bench.course);
      setAsked({ why, change, undone, set, plan: undefined, was_s });
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
      const left = withUndone(bench, asked.undone, asked.why, at.time());
      at.put({
        ...left,
        mark: benchMark(asked.set),
        course: courseOf(asked.plan, asked.set),
        events: [...left.events, { what: 'replanned', at_ms: at.time(), why: asked.why }],
      });
      setAsked(undefined);
    },
    leave: () => setAsked(undefined),
  };
}

function withUndone(bench: Bench, undone: readonly string[], words: string, at_ms: number): Bench {
  if (undone.length === 0) return bench;
  return { ...bench, events: [...bench.events, { what: 'undone', at_ms, words, operations: [...undone] }] };
}

/** So many lines of what changes are read at a time. */
const MOST_LINES = 4;

/** The rest as it would be: what changes, when it ends, and what would be found. */
export function GoOn({ going, bench, worked }: { going: Going; bench: Bench; worked: NailName[] }) {
  const { asked } = going;
  const changed = useMemo(() => {
    if (!asked?.plan) return undefined;
    const open = (one: Bench) => {
      const { now, next } = progressOf(one);
      return now ? [now, ...next] : [];
    };
    const after = withUndone(bench, asked.undone, asked.why, bench.events.at(-1)?.at_ms ?? 0);
    return courseChange(open(bench), open({ ...after, course: courseOf(asked.plan, asked.set) }));
  }, [asked, bench]);
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
      {changed && (
        <dl className={classes.changes}>
          <Lines words="Falls away" lines={changed.out} worked={worked} />
          <Lines words="Comes in" lines={changed.added} worked={worked} />
          <Lines words="Now" lines={changed.now === undefined ? [] : [changed.now]} worked={worked} />
        </dl>
      )}
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

function Lines({
  words,
  lines,
  worked,
}: {
  words: string;
  lines: readonly ChangedWork[];
  worked: NailName[];
}) {
  if (lines.length === 0) return null;
  const more = lines.length - MOST_LINES;
  return (
    <>
      <dt>{words}</dt>
      <dd>
        {lines
          .slice(0, MOST_LINES)
          .map((one) => `${whoseNails(one.nails, worked)}: ${one.words}`)
          .join(' · ')}
        {more > 0 && `, and ${more} more`}
      </dd>
    </>
  );
}
