'use client';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { faultLine, type Fault, type Result } from '@/core/model/result';
import { addSet, openSet, type OpenedSet } from '@/data/sets';
import { late } from '../kit/late';
import { notify } from '../kit/notify';
import { keepPlanned } from './keepPlanned';
import { keepStored, type Conflict, type Keeper } from './keepStored';
import { createStudio, StudioContext, type StudioStore } from './studio';
import { Rail } from './Rail';
import { PlanFailed } from './PlanFailed';
import { SetBar } from './SetBar';
import { StudioKeys } from './StudioKeys';
import classes from './StudioShell.module.css';

const ConflictChoice = late(
  () => import('./ConflictChoice').then((module) => module.ConflictChoice),
  'The choice between two tabs',
);

type Opening =
  { kind: 'opening' } | { kind: 'open'; opened: OpenedSet } | { kind: 'faulty'; faults: Fault[] };

/** The frame of one open set: rail, bar, and the view. Opens it from the store and keeps it saved and planned. */
export function StudioShell({ id, children }: { id: string; children: ReactNode }) {
  const [opening, setOpening] = useState<Opening>({ kind: 'opening' });
  useEffect(() => {
    let stale = false;
    openOrSeed(decodeURIComponent(id)).then(
      (result) => {
        if (stale) return;
        setOpening(
          result.ok ? { kind: 'open', opened: result.value } : { kind: 'faulty', faults: result.faults },
        );
      },
      (error: unknown) => {
        if (!stale) setOpening({ kind: 'faulty', faults: [{ path: '', message: String(error) }] });
      },
    );
    return () => {
      stale = true;
    };
  }, [id]);

  if (opening.kind === 'opening') return <main className={classes.waiting}>Opening the set …</main>;
  if (opening.kind === 'faulty') {
    return (
      <main className={classes.waiting}>
        <h1>This set cannot be opened</h1>
        {opening.faults.map((fault) => (
          <p key={fault.path}>{faultLine(fault)}</p>
        ))}
        <Link href="/">Back to the sets</Link>
      </main>
    );
  }
  return <OpenStudio opened={opening.opened}>{children}</OpenStudio>;
}

/** A link may lead to a demo set before the list of sets was ever opened. */
async function openOrSeed(id: string): Promise<Result<OpenedSet>> {
  const found = await openSet(id);
  if (found.ok) return found;
  const { seedOnce } = await import('@/data/starting');
  await seedOnce();
  return openSet(id);
}

function OpenStudio({ opened, children }: { opened: OpenedSet; children: ReactNode }) {
  const [store] = useState<StudioStore>(() => createStudio(opened.set));
  const [conflict, setConflict] = useState<Conflict>();
  const keeper = useRef<Keeper>(undefined);
  const router = useRouter();

  useEffect(() => {
    const stopPlanning = keepPlanned(store);
    keeper.current = keepStored(store, opened, setConflict, () =>
      notify('Changed in another tab: shown here too. Undo brings yours back.'),
    );
    return () => {
      stopPlanning();
      keeper.current?.stop();
    };
  }, [store, opened]);

  useEffect(
    () =>
      store.subscribe((state, before) => {
        if (state.refused && state.refused !== before.refused) {
          notify(state.refused, 'That cannot be');
        }
      }),
    [store],
  );

  async function keepMineAsCopy(theirs: OpenedSet) {
    const mine = store.getState().set;
    const copy = await addSet({ ...mine, title: `${mine.title} (my copy)`.slice(0, 120) });
    keeper.current?.takeTheirs(theirs);
    setConflict(undefined);
    router.push(`/set/${copy}/design`);
  }

  return (
    <StudioContext.Provider value={store}>
      <StudioKeys />
      <div className={classes.frame}>
        <Rail id={opened.set.id} />
        <div className={classes.work}>
          <SetBar />
          <PlanFailed />
          <main className={classes.view}>{children}</main>
        </div>
      </div>
      {conflict && (
        <ConflictChoice
          onTakeTheirs={() => {
            keeper.current?.takeTheirs(conflict.theirs);
            setConflict(undefined);
          }}
          onKeepMine={() => {
            keeper.current?.rebase(conflict.theirs.revision);
            setConflict(undefined);
          }}
          onKeepBoth={() => void keepMineAsCopy(conflict.theirs)}
        />
      )}
    </StudioContext.Provider>
  );
}
