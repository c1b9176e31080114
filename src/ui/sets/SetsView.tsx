'use client';
import { Button, TextInput } from '@mantine/core';
import { IconBottle, IconFolderOpen, IconPlus, IconSearch, IconUsers } from '@tabler/icons-react';
import { useViewportSize, useInViewport } from '@mantine/hooks';
import { startTransition, useEffect, useMemo, useRef, useState } from 'react';
import { nextFirst } from '@/core/model/appointment';
import type { Fault } from '@/core/model/result';
import { addCopy, addSet, foldLeft } from '@/data/sets';
import { watchSets } from '@/data/setList';
import type { Listed } from '@/data/listed';
import type { BrokenRow } from '@/data/rows';
import { watchWornDays } from '@/data/worn';
import { addNewSet, editedDemo, restoreDemo, seedOnce } from '@/data/starting';
import { downloadSet } from '../kit/download';
import { FileInput } from '../kit/FileInput';
import { late } from '../kit/late';
import { BrokenRows } from '../kit/BrokenRows';
import { MoreMenu } from '../kit/MoreMenu';
import { removeAndOffer } from '../kit/removeAndOffer';
import { useClients } from '../clients/useClients';
import { useBroken } from '../kit/useBroken';
import { Faults } from '../kit/Faults';
import { Go, go } from '../kit/Go';
import { once } from '../kit/once';
import { pathOf } from '../kit/route';
import { SchemeButton } from '../kit/SchemeButton';
import { useTitle } from '../kit/useTitle';
import { nothingFirst, useWatched } from '../kit/useWatched';
import { backUp, exportWithRecord } from './backUp';
import { Keeping } from './Keeping';
import { plannedOf } from './planned';
import { readFile, type ReadBackup, type ReadCalendar } from './readFile';
import { aboutWords, soughtIn } from './aboutSet';
import { LittleHands } from './LittleHands';
import { DueSoon } from './DueSoon';
import classes from './SetsView.module.css';
import { notDone, notify, notKept } from '../kit/notify';

const RestoreChoice = late(
  () => import('./RestoreChoice').then((module) => module.RestoreChoice),
  'Restoring the demo sets',
);

const BackupChoice = late(
  () => import('./BackupChoice').then((module) => module.BackupChoice),
  'Taking in a backup',
);
const CalendarChoice = late(
  () => import('./CalendarChoice').then((module) => module.CalendarChoice),
  'What the calendar says',
);
const BinPanel = late(() => import('./BinPanel').then((module) => module.BinPanel), 'The bin');

/** What is told here when it cannot be read, beside the sets: all that has no view of its own. */
const BESIDE_SETS = ['journal', 'history', 'references', 'bin', 'gone', 'facts'] as const;

/** So many sets are drawn at once; more come as their end is reached. */
const AT_ONCE = 16;

const openDesign = (id: string) => go(pathOf({ kind: 'set', id, view: 'design' }));

/** Which one? Every set as a little pair of hands drawn from its real plan. */
export function SetsView() {
  const [sets, setSets] = useState<Listed[]>();
  const [replacing, setReplacing] = useState<string[]>();
  const [search, setSearch] = useState('');
  const [faults, setFaults] = useState<{ file: string; list: Fault[] }>();
  const input = useRef<HTMLInputElement>(null);
  const [backup, setBackup] = useState<ReadBackup>();
  const [calendar, setCalendar] = useState<ReadCalendar>();
  const [bin, setBin] = useState(false);
  const [most, setMost] = useState(AT_ONCE);
  const { ref: atEnd, inViewport: ended } = useInViewport<HTMLButtonElement>();
  useEffect(() => {
    if (ended) startTransition(() => setMost((before) => before + AT_ONCE));
  }, [ended]);
  useTitle('Sets');

  useEffect(() => {
    let stop: (() => void) | undefined;
    let gone = false;
    const fail = (error: unknown) =>
      setFaults({ file: 'This browser’s store', list: [{ path: '', message: String(error) }] });
    seedOnce()
      .then(() => {
        if (!gone) stop = watchSets(setSets, fail);
        return foldLeft();
      })
      .then((copies) => {
        for (const title of copies)
          notify(
            `“${title}” was changed in two tabs, and one of them closed before you had chosen. What it had is kept under this name.`,
          );
      })
      // What cannot be folded is still there, and shown.
      .catch((error: unknown) => {
        if (!gone) stop ??= watchSets(setSets, fail);
        notDone(error);
      });
    return () => {
      gone = true;
      stop?.();
    };
  }, []);

  async function open(file: File) {
    const read = await readFile(file);
    setFaults(read.ok ? undefined : { file: file.name, list: read.faults });
    if (!read.ok) return;
    if (read.value.kind === 'backup') setBackup(read.value);
    else if (read.value.kind === 'calendar') setCalendar(read.value);
    else openDesign(await addSet(read.value.set));
  }

  async function restore() {
    const edited = await editedDemo();
    if (edited.length === 0) await restoreDemo();
    else setReplacing(edited);
  }

  const room = roomFor(useViewportSize().width);
  const { clients } = useClients();
  const { value: worn } = useWatched(nothingFirst, watchWornDays);
  const planned = useMemo(() => plannedOf(sets ?? [], clients ?? []), [sets, clients]);
  const clientOf = (id: unknown) => clients?.find((one) => one.sets.some((set) => set === id))?.name;
  const wanted = search.trim().toLowerCase();
  const found = sets?.filter((one) => wanted === '' || soughtIn(one, clientOf(one.id)).includes(wanted));
  const shown =
    found &&
    nextFirst(
      found.flatMap((one) => (one.kind === 'set' ? [one.stored] : [])),
      (one) => one.document,
    );
  const broken = useBroken(BESIDE_SETS);
  const brokenSets = (found ?? []).flatMap((one): BrokenRow[] =>
    one.kind === 'broken'
      ? [
          {
            table: 'sets',
            key: (one.record as { id?: unknown } | null)?.id,
            title: one.title,
            fault: one.faults[0]!,
            record: one.record,
          },
        ]
      : [],
  );

  return (
    <main className={classes.page}>
      <header className={classes.head}>
        <div>
          <h1 className={classes.name}>Merry Lacquer</h1>
          <p className={classes.line}>Plan ten nails before the lamp is warm.</p>
        </div>
        <span className={classes.grow} />
        <TextInput
          aria-label="Search sets"
          placeholder="Search"
          leftSection={<IconSearch size={18} />}
          w={180}
          value={search}
          onChange={(event) => setSearch(event.currentTarget.value)}
        />
        <Button
          leftSection={<IconPlus size={18} />}
          onClick={() => void once('new set', () => addNewSet().then(openDesign)).catch(notKept)}
        >
          New set
        </Button>
        <Button
          variant="default"
          leftSection={<IconFolderOpen size={18} />}
          onClick={() => input.current?.click()}
        >
          Open file
        </Button>
        <FileInput
          input={input}
          accept=".json,.zip,.ics,application/json,application/zip,text/calendar"
          label="Set file"
          onFile={(file) => void open(file).catch(notKept)}
        />
        <Button component={Go} href="/clients" variant="default" leftSection={<IconUsers size={18} />}>
          Clients
        </Button>
        <Button component={Go} href="/shelf" variant="default" leftSection={<IconBottle size={18} />}>
          Shelf
        </Button>
        <MoreMenu
          label="More"
          entries={[
            { key: 'backup', words: 'Back up everything', onPick: () => void backUp().catch(notDone) },
            { key: 'take-in', words: 'Take in a backup', onPick: () => input.current?.click() },
            { key: 'calendar', words: 'Take in a calendar', onPick: () => input.current?.click() },
            { key: 'holds', words: 'What holds', onPick: () => go('/holds') },
            { key: 'bin', words: 'Bin', onPick: () => setBin(true) },
            {
              key: 'notices',
              words: 'Whose work this is built with',
              onPick: () => window.open('/notices.txt', '_blank', 'noopener'),
            },
            { key: 'demo', words: 'Restore the demo sets', onPick: () => void restore().catch(notKept) },
          ]}
        />
        <SchemeButton />
      </header>

      {faults && (
        <Faults
          title={`${faults.file} could not be opened`}
          faults={faults.list}
          onClose={() => setFaults(undefined)}
        />
      )}

      {found?.length === 0 && brokenSets.length === 0 && (
        <p className={classes.none}>
          {wanted
            ? `No set says “${search}”.`
            : 'No sets yet: make a new one, or restore the demo sets from the menu.'}
        </p>
      )}
      {sets && <DueSoon planned={planned} />}
      <ul className={classes.list}>
        {shown?.slice(0, most).map((stored, i) => (
          <li key={stored.id} className={classes.item} data-first={i === 0 || undefined}>
            <Go href={pathOf({ kind: 'set', id: stored.id, view: 'design' })} className={classes.open}>
              <LittleHands set={stored.document} width={i === 0 ? room.first : room.other} />
              <h2>
                <bdi>{stored.title}</bdi>
              </h2>
              <p className={classes.about}>{aboutWords(stored, clientOf(stored.id), worn?.get(stored.id))}</p>
            </Go>
            <span className={classes.more}>
              <MoreMenu
                label={`More for ${stored.title}`}
                entries={[
                  {
                    key: 'copy',
                    words: 'Make a copy',
                    onPick: () =>
                      void once(`copy ${stored.id}`, () => addCopy(stored.document)).catch(notKept),
                  },
                  {
                    key: 'export',
                    words: 'Export',
                    onPick: () => downloadSet(stored.document),
                  },
                  ...(stored.document.state === 'planned'
                    ? []
                    : [
                        {
                          key: 'export-record',
                          words: 'Export with its record',
                          onPick: () => void exportWithRecord(stored),
                        },
                      ]),
                  {
                    key: 'remove',
                    words: 'Remove',
                    danger: true,
                    onPick: () =>
                      void removeAndOffer({ table: 'sets', key: stored.id, title: stored.title }).catch(
                        notKept,
                      ),
                  },
                ]}
              />
            </span>
          </li>
        ))}
      </ul>
      {shown && shown.length > most && (
        <Button variant="default" ref={atEnd} onClick={() => setMost(most + AT_ONCE)}>
          {shown.length - most} more
        </Button>
      )}
      <BrokenRows
        label="Sets that cannot be read"
        title={
          brokenSets.length === 1 ? 'One set cannot be read' : `${brokenSets.length} sets cannot be read`
        }
        broken={brokenSets}
      />
      <BrokenRows
        label="More that cannot be read"
        title="More that is stored here and cannot be read"
        broken={broken}
      />
      <Keeping onBackUp={() => void backUp().catch(notDone)} />
      {backup && <BackupChoice read={backup} onClose={() => setBackup(undefined)} />}
      {calendar && (
        <CalendarChoice
          name={calendar.name}
          read={calendar.read}
          sets={planned}
          clients={clients ?? []}
          onClose={() => setCalendar(undefined)}
        />
      )}
      {bin && <BinPanel onClose={() => setBin(false)} />}
      {replacing && <RestoreChoice edited={replacing} onClose={() => setReplacing(undefined)} />}
    </main>
  );
}

/** Room for the hands of the first set and of each other, in px: two beside each other where the screen has room for them. */
function roomFor(screen_px: number): { first: number; other: number } {
  const page = Math.min(1280, screen_px || 1280) - (screen_px > 0 && screen_px <= 1100 ? 40 : 80);
  return {
    first: Math.min(1160, page),
    other: screen_px > 0 && screen_px <= 700 ? page : Math.min(560, (page - 48) / 2),
  };
}
