'use client';
import { useCallback, useEffect, useLayoutEffect, useRef, useState } from 'react';
import { wordsWith } from '@/core/model/primitives';
import { faultWords } from '@/core/model/placeWords';
import type { Fault, Result } from '@/core/model/result';
import { addSet, openSet, type OpenedSet } from '@/data/sets';
import { openWorkers } from '@/workers/planner';
import { go, Go } from '../kit/Go';
import { downloadSet } from '../kit/download';
import { late } from '../kit/late';
import { WornRecord } from '../wear/WornRecord';
import { guardLeaving } from '../kit/leaving';
import { notify, notKept } from '../kit/notify';
import { pathOf, routeOfPath, type SetView } from '../kit/route';
import { useTitle } from '../kit/useTitle';
import { keepPlanned } from './keepPlanned';
import { keepStored, type Conflict, type Keeper } from './keepStored';
import { createStudio, StudioContext, useStudio, type StudioStore } from './studio';
import { Gone } from './Gone';
import { Rail, VIEWS } from './Rail';
import { PlanFailed } from './PlanFailed';
import { SetBar } from './SetBar';
import { StudioKeys } from './StudioKeys';
import { unpackHistory } from '@/data/undoHistory';
import { ViewLost } from './ViewLost';
import { VIEW_PARTS } from './viewParts';
import classes from './StudioShell.module.css';

const ConflictChoice = late(
  () => import('./ConflictChoice').then((module) => module.ConflictChoice),
  'The choice between two tabs',
);

const LeaveChoice = late(
  () => import('./LeaveChoice').then((module) => module.LeaveChoice),
  'The question before leaving',
);

const KitAsk = late(
  () => import('../shelf/KitAsk').then((module) => module.KitAsk),
  'The shelf beside the set',
  {
    instead: () => null,
  },
);

const viewPart = (view: SetView, words: string) => late(VIEW_PARTS[view], words, { instead: ViewLost });
const VIEW = {
  hands: viewPart('hands', 'Hands'),
  practice: viewPart('practice', 'How I work'),
  design: viewPart('design', 'Design'),
  layers: viewPart('layers', 'Plate to top'),
  timing: viewPart('timing', 'Timing'),
  table: viewPart('table', 'The table'),
  card: viewPart('card', 'Card'),
  bench: viewPart('bench', 'Bench'),
  wear: viewPart('wear', 'Wear'),
};

type Opening =
  | { kind: 'opening' }
  | { kind: 'open'; opened: OpenedSet }
  | { kind: 'faulty'; faults: Fault[] };

/** The frame of one open set: rail, bar, and the view. Opens it from the store and keeps it saved and planned. */
export function StudioShell({ id, view }: { id: string; view: SetView }) {
  const [opening, setOpening] = useState<Opening>({ kind: 'opening' });
  useEffect(() => {
    // While the store is read, what is needed next comes as well; what fails is told where it is needed.
    openWorkers();
    VIEW[view].bring().catch(() => undefined);
  }, [view]);
  useEffect(() => {
    let stale = false;
    openOrSeed(id).then(
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
          <p key={fault.path}>{faultWords(fault)}</p>
        ))}
        <Go href="/">Back to the sets</Go>
        <WornRecord set={id} />
      </main>
    );
  }
  return <OpenStudio opened={opening.opened} view={view} />;
}

/** Long enough for the first picture and plan to be under way. */
const BRING_MS = 2500;

function Title({ view }: { view: SetView }) {
  useTitle(
    VIEWS.find((one) => one.view === view)!.words,
    useStudio((s) => s.set.title),
  );
  return null;
}

/** A link may lead to a demo set before the list of sets was ever opened. */
async function openOrSeed(id: string): Promise<Result<OpenedSet>> {
  const found = await openSet(id);
  if (found.ok) return found;
  const { seedOnce } = await import('@/data/starting');
  await seedOnce();
  return openSet(id);
}

function OpenStudio({ opened, view }: { opened: OpenedSet; view: SetView }) {
  const [store] = useState<StudioStore>(() => createStudio(opened.set, unpackHistory(opened)));
  const [conflict, setConflict] = useState<Conflict>();
  const [quiet, setQuiet] = useState(false);
  const keeper = useRef<Keeper>(undefined);
  /** Where the artist wanted to go, while what was changed is not kept. */
  const [leaving, setLeaving] = useState<string>();

  // Before the page can be touched: what is typed in the moment it appears is kept as well.
  useLayoutEffect(() => {
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
      guardLeaving({
        holds: (path) => {
          const to = routeOfPath(path);
          if ((to?.kind === 'set' && to.id === opened.set.id) || !keeper.current?.unkept()) return false;
          setLeaving(path);
          return true;
        },
      }),
    [opened],
  );

  const leave = useCallback(() => {
    if (leaving === undefined) return;
    setLeaving(undefined);
    keeper.current?.giveUp();
    go(leaving);
  }, [leaving]);

  useEffect(() => {
    // The views still to come are fetched while nothing else is asked for, so that going there needs no server.
    const bring = () => {
      setQuiet(true);
      for (const one of Object.values(VIEW)) one.bring().catch(() => undefined);
    };
    const timer = setTimeout(bring, BRING_MS);
    return () => clearTimeout(timer);
  }, []);

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
    const copy = await addSet({ ...mine, title: wordsWith(mine.title, '(my copy)') });
    keeper.current?.takeTheirs(theirs);
    setConflict(undefined);
    go(pathOf({ kind: 'set', id: copy, view: 'design' }));
  }

  const View = VIEW[view];
  return (
    <StudioContext.Provider value={store}>
      <StudioKeys />
      <Title view={view} />
      <div className={classes.frame}>
        <Rail id={opened.set.id} here={view} />
        <div className={classes.work}>
          <SetBar />
          <div>
            <Gone
              onPutBack={() => {
                keeper.current?.putAgain().catch(notKept);
              }}
            />
            <PlanFailed />
            {quiet && <KitAsk />}
          </div>
          <main className={classes.view} tabIndex={-1}>
            <View />
          </main>
        </div>
      </div>
      {leaving !== undefined && !conflict && (
        <LeaveChoice onStay={() => setLeaving(undefined)} onLeave={leave} />
      )}
      {conflict && (
        <ConflictChoice
          onExport={() => downloadSet(store.getState().set)}
          onTakeTheirs={() => {
            keeper.current?.takeTheirs(conflict.theirs);
            setConflict(undefined);
          }}
          onKeepMine={() => {
            keeper.current?.rebase(conflict.theirs.revision);
            setConflict(undefined);
          }}
          onKeepBoth={() => void keepMineAsCopy(conflict.theirs).catch(notKept)}
        />
      )}
    </StudioContext.Provider>
  );
}
