'use client';
import { Button, Modal, Text } from '@mantine/core';
import { notifications } from '@mantine/notifications';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { faultLine, type Fault } from '@/core/model/result';
import { addSet, openSet, type OpenedSet } from '@/data/sets';
import { keepPlanned } from './keepPlanned';
import { keepStored, type Conflict, type Keeper } from './keepStored';
import { createStudio, StudioContext, type StudioStore } from './studio';
import { Rail } from './Rail';
import { SetBar } from './SetBar';
import { StudioKeys } from './StudioKeys';
import classes from './StudioShell.module.css';

type Opening = { kind: 'opening' } | { kind: 'open'; opened: OpenedSet } | { kind: 'faulty'; faults: Fault[] };

/** The frame of one open set: rail, bar, and the view. Opens it from the store and keeps it saved and planned. */
export function StudioShell({ id, children }: { id: string; children: ReactNode }) {
  const [opening, setOpening] = useState<Opening>({ kind: 'opening' });
  useEffect(() => {
    let stale = false;
    openSet(decodeURIComponent(id)).then(
      (result) => {
        if (stale) return;
        setOpening(result.ok ? { kind: 'open', opened: result.value } : { kind: 'faulty', faults: result.faults });
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

function OpenStudio({ opened, children }: { opened: OpenedSet; children: ReactNode }) {
  const [store] = useState<StudioStore>(() => createStudio(opened.set));
  const [conflict, setConflict] = useState<Conflict>();
  const keeper = useRef<Keeper>(undefined);
  const router = useRouter();

  useEffect(() => {
    const stopPlanning = keepPlanned(store);
    keeper.current = keepStored(store, opened.revision, setConflict, () =>
      notifications.show({ message: 'Changed in another tab: shown here too. Undo brings yours back.' }),
    );
    return () => {
      stopPlanning();
      keeper.current?.stop();
    };
  }, [store, opened.revision]);

  useEffect(
    () =>
      store.subscribe((state, before) => {
        if (state.refused && state.refused !== before.refused) {
          notifications.show({ color: 'red', title: 'That cannot be', message: state.refused });
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
          <main className={classes.view}>{children}</main>
        </div>
      </div>
      <Modal
        opened={conflict !== undefined}
        onClose={() => undefined}
        withCloseButton={false}
        title="This set was changed in another tab"
        centered
      >
        <Text mb="md">Both hold changes that the other does not have. Nothing is lost until you choose.</Text>
        <Button
          fullWidth
          mb="sm"
          size="md"
          onClick={() => {
            keeper.current?.takeTheirs(conflict!.theirs);
            setConflict(undefined);
          }}
        >
          Take the other tab’s set
        </Button>
        <Button
          fullWidth
          mb="sm"
          size="md"
          variant="default"
          onClick={() => {
            keeper.current?.rebase(conflict!.theirs.revision);
            setConflict(undefined);
          }}
        >
          Keep mine here
        </Button>
        <Button fullWidth size="md" variant="default" onClick={() => void keepMineAsCopy(conflict!.theirs)}>
          Keep both: mine as a copy
        </Button>
      </Modal>
    </StudioContext.Provider>
  );
}
