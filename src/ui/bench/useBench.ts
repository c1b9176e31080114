'use client';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { clockAt, looked, timeOf } from '@/core/bench/clock';
import { courseOf } from '@/core/bench/course';
import type { Bench, BenchEvent } from '@/core/bench/log';
import { markOf } from '@/core/model/mark';
import { atTable, type AtTable } from '@/core/bench/atTable';
import { progressOf, type Progress } from '@/core/bench/progress';
import type { SetDocument } from '@/core/document/document';
import type { Plan } from '@/core/plan/planSet';
import { benchOf, putBench, removeBench, watchBench } from '@/data/benches';
import { holdTable, type HeldTable } from '@/data/held';
import { unforeseen } from '../kit/unforeseen';

/** The table is looked at this often: by the clock, so that a late look is only late. */
const LOOK_MS = 200;

/** What of a set its course hangs on: neither its title nor how far it is. */
export function benchMark(set: SetDocument): string {
  return markOf(
    JSON.stringify({
      nails: set.nails,
      looks: set.looks,
      builds: set.builds,
      kit: set.kit,
      practice: set.practice,
      edits: set.edits,
    }),
  );
}

export interface Table {
  /** Undefined until it is read, null where the sitting was never begun. */
  bench: Bench | null | undefined;
  /** What of it changes with what is done, and what with the clock as well. */
  progress: Progress | undefined;
  table: AtTable | undefined;
  now_ms: number;
  /** As it is at this very moment, before anything is drawn anew. */
  latest: () => Bench | null | undefined;
  /** The bench's time at this very moment. */
  time: () => number;
  /** Whether this tab is the one that is worked in; undefined until that is known. */
  mine: boolean | undefined;
  /** Takes the table from the tab that has it. */
  takeOver: () => void;
  /** What was pressed last could not be written: there is no room, or the store is only read. */
  notKept: boolean;
  lay: (plan: Plan, set: SetDocument) => Bench;
  write: (event: BenchEvent) => void;
  put: (bench: Bench) => void;
  clear: () => void;
}

/**
 * The table of a set: what is kept of it, and what it is like now. `speed`: a practice run, of which nothing is kept. `first`: an
 * operation whose round is done before its turn.
 */
export function useBench(set: string, speed = 1, first?: string): Table {
  const kept = speed === 1;
  const [mine, setMine] = useState<boolean | undefined>(kept ? undefined : true);
  const [notKept, setNotKept] = useState(false);
  const holding = useRef<HeldTable>(undefined);
  const isMine = useRef(!kept);
  const [bench, setBench] = useState<Bench | null | undefined>(kept ? undefined : null);
  const last = useRef(bench);
  const [now_ms, setNow] = useState(0);
  const began = useRef(0);
  const wall = useCallback(() => {
    // Of a practice run time is quicker than the clock.
    if (speed === 1) return Date.now();
    began.current ||= Date.now();
    return began.current + (Date.now() - began.current) * speed;
  }, [speed]);
  const take = useCallback((next: Bench | null) => {
    last.current = next;
    setBench(next);
  }, []);
  useEffect(() => {
    if (!kept) return undefined;
    const held = holdTable(set, (isHeld) => {
      isMine.current = isHeld;
      if (!isHeld) {
        setMine(false);
        return;
      }
      // What another tab has written meanwhile is read before anything is pressed here.
      benchOf(set).then(
        (found) => {
          take(found ?? null);
          setMine(true);
        },
        (error: unknown) => unforeseen(error),
      );
    });
    holding.current = held;
    return held.leave;
  }, [set, kept, take]);
  useEffect(() => {
    if (!kept) return undefined;
    return watchBench(
      set,
      (found) => {
        // What this page has written is there before the store says so; what another writes is followed.
        const isNews = !last.current || (found && found.events.length > last.current.events.length);
        if (isNews || !isMine.current) take(found ?? null);
      },
      unforeseen,
    );
  }, [set, kept, take]);
  // The whole of it each time: what once found no room is written with the next.
  const keep = useCallback((next: Bench) => {
    putBench(next).then(
      () => setNotKept(false),
      () => setNotKept(true),
    );
  }, []);
  const time = useCallback(() => {
    const now = last.current;
    return now ? timeOf(looked(now.clock, wall())) : wall();
  }, [wall]);
  useEffect(() => {
    const look = () => {
      const now = last.current;
      if (now) {
        const clock = looked(now.clock, wall());
        const put_back = clock.shift_ms !== now.clock.shift_ms;
        last.current = { ...now, clock };
        // What the clock was put back by is not known to a page that is loaded anew.
        if (put_back && kept && isMine.current) keep(last.current);
      }
      setNow(time());
    };
    look();
    const ticking = setInterval(look, LOOK_MS);
    document.addEventListener('visibilitychange', look);
    return () => {
      clearInterval(ticking);
      document.removeEventListener('visibilitychange', look);
    };
  }, [time, wall, kept, keep]);
  const put = useCallback(
    (next: Bench) => {
      if (kept) keep(next);
      take(next);
      // What was just written is seen at its own moment, and not at the last look's.
      setNow(time());
    },
    [kept, keep, take, time],
  );
  const write = useCallback(
    (event: BenchEvent) => {
      const now = last.current;
      if (now) put({ ...now, clock: looked(now.clock, wall()), events: [...now.events, event] });
    },
    [put, wall],
  );
  const lay = useCallback(
    (plan: Plan, of: SetDocument): Bench => ({
      set,
      mark: benchMark(of),
      course: courseOf(plan, of),
      events: [],
      clock: clockAt(wall()),
    }),
    [set, wall],
  );
  const clear = useCallback(() => {
    take(null);
    if (kept) removeBench(set).catch(unforeseen);
  }, [kept, set, take]);
  const progress = useMemo(() => (bench ? progressOf(bench, first) : undefined), [bench, first]);
  const table = useMemo(
    () => (bench ? atTable(bench, now_ms, progress) : undefined),
    [bench, now_ms, progress],
  );
  const latest = useCallback(() => last.current, []);
  const takeOver = useCallback(() => holding.current?.take(), []);
  return { bench, progress, table, now_ms, latest, time, mine, takeOver, notKept, lay, write, put, clear };
}
