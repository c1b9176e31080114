'use client';
import { ActionIcon, Button } from '@mantine/core';
import { IconArrowBackUp, IconArrowForwardUp, IconDownload, IconHelp } from '@tabler/icons-react';
import { useHotkeys } from '@mantine/hooks';
import { useState } from 'react';
import type { SetDocument } from '@/core/document/document';
import { messageOf } from '@/core/model/messageOf';
import { MOST_WORDS, tidyWords } from '@/core/model/primitives';
import { NAILS } from '@/core/model/names';
import { typicalNails } from '@/core/starter/hand';
import { storeState } from '@/data/store';
import { downloadSet } from '../kit/download';
import { useRuledOut } from '../clients/useRuledOut';
import { useGesture } from '../kit/useGesture';
import { SchemeButton } from '../kit/SchemeButton';
import { timeWords } from '@/core/model/times';
import { countWords } from '../kit/words';
import { late } from '../kit/late';
import { MoreMenu } from '../kit/MoreMenu';
import { notify } from '../kit/notify';
import { unforeseen } from '../kit/unforeseen';
import { useSettled, useStudio, useStudioStore, useUndo } from './studio';
import type { WayOut } from './takeOut';
import classes from './SetBar.module.css';

const KeysHelp = late(() => import('./KeysHelp').then((module) => module.KeysHelp), 'The list of keys');

const AllFindings = late(() => import('./AllFindings').then((module) => module.AllFindings), 'What is found');

const SAVING_WORDS = {
  saved: 'Saved',
  saving: 'Saving …',
  conflict: 'Waits for your choice',
  failed: 'Not saved: export it to keep it',
  gone: 'Removed elsewhere',
  'only-read': 'Not kept here: export it to keep it',
} as const;

const PLANNING_WORDS = { fresh: '', making: 'planning …', failed: 'not planned' } as const;

const WAYS_OUT: readonly { key: WayOut; words: string }[] = [
  { key: 'picture', words: 'Picture of the set, on white (PNG)' },
  { key: 'cut-out', words: 'Picture without a ground (PNG)' },
  { key: 'template-pdf', words: 'Template sheet at true size (PDF)' },
  { key: 'template-svg', words: 'Template sheet at true size (SVG)' },
];

/** What makes pictures and sheets comes when it is asked for. */
async function waysOut(key: WayOut, set: SetDocument): Promise<void> {
  try {
    const { takeOut } = await import('./takeOut');
    await takeOut(key, set);
  } catch (error) {
    notify(`It could not be made: ${messageOf(error)}. Your work is kept.`, 'Pictures and templates');
  }
}

/** The bar over every view: title, what is found, how long, undo and redo, export. */
export function SetBar() {
  const store = useStudioStore();
  const plan = useStudio((s) => s.plan);
  const planning = useStudio((s) => s.planning);
  const planned_ms = useStudio((s) => s.planned_ms);
  const searched = useStudio((s) => s.searched);
  const settled = useStudio((s) => s.settled);
  const typical = useSettled((set) => typicalNails(set.nails).length === NAILS.length);
  const ruledOut = useRuledOut().ruledOut.length;
  const undo = useUndo((s) => s.undo);
  const redo = useUndo((s) => s.redo);
  const canUndo = useUndo((s) => s.pastStates.length > 0);
  const canRedo = useUndo((s) => s.futureStates.length > 0);
  const [help, setHelp] = useState(false);
  const [found, setFound] = useState(false);
  useHotkeys([['shift+?', () => setHelp(true)]], ['INPUT', 'TEXTAREA', 'SELECT'], false);

  return (
    <header className={classes.bar}>
      <Title />
      <Saved />
      <span className={classes.grow} />
      {plan && (
        <Button
          variant="subtle"
          color="gray"
          className={classes.sum}
          data-testid="plan-sum"
          data-planned-ms={planned_ms}
          data-searched={searched}
          data-planning={planning}
          title="What is found"
          onClick={() => setFound(true)}
        >
          {planning === 'fresh'
            ? `${settled ? '' : 'about '}${timeWords(plan.sitting.total_s)} · ${countWords(plan.findings)}${typical ? ' · typical hand' : ''}${ruledOut ? ` · ${ruledOut} not for these hands` : ''}`
            : `${timeWords(plan.sitting.total_s)} before · ${PLANNING_WORDS[planning]}`}
        </Button>
      )}
      {!plan && (
        <span className={classes.saving} role="status">
          {PLANNING_WORDS[planning]}
        </span>
      )}
      <ActionIcon
        variant="subtle"
        color="gray"
        aria-label="Undo"
        title="Undo (Ctrl Z)"
        disabled={!canUndo}
        onClick={() => undo()}
      >
        <IconArrowBackUp size={22} />
      </ActionIcon>

      <ActionIcon
        variant="subtle"
        color="gray"
        aria-label="Redo"
        title="Redo (Ctrl Y)"
        disabled={!canRedo}
        onClick={() => redo()}
      >
        <IconArrowForwardUp size={22} />
      </ActionIcon>

      <Button
        variant="default"
        className={classes.export}
        leftSection={<IconDownload size={18} />}
        onClick={() => downloadSet(store.getState().set)}
      >
        Export
      </Button>
      <MoreMenu
        label="Pictures and templates"
        entries={WAYS_OUT.map(({ key, words }) => ({
          key,
          words,
          onPick: () => void waysOut(key, store.getState().set).catch(unforeseen),
        }))}
      />
      <SchemeButton />
      <ActionIcon
        variant="subtle"
        color="gray"
        className={classes.keys}
        aria-label="Keys"
        title="Keys (?)"
        onClick={() => setHelp(true)}
      >
        <IconHelp size={22} />
      </ActionIcon>

      {found && <AllFindings onClose={() => setFound(false)} />}
      {help && <KeysHelp onClose={() => setHelp(false)} />}
    </header>
  );
}

/** Whether what was made is kept. */
function Saved() {
  const saving = useStudio((s) => s.saving);
  const fault = useStudio((s) => s.savingFault);
  const inMemory = storeState().kind === 'memory';
  const words = inMemory && saving === 'saved' ? 'In this page only' : SAVING_WORDS[saving];
  return (
    <span className={classes.saving} role="status">
      {fault && saving === 'failed' ? `Not saved, ${fault}. Export it` : words}
    </span>
  );
}

/** The title counts as it is typed; a stretch of typing is one step of undo. Words nobody can see are not taken. */
function Title() {
  const title = useStudio((s) => s.set.title);
  const change = useStudio((s) => s.change);
  const [draft, setDraft] = useState<string>();
  const gesture = useGesture();
  return (
    <h1 className={classes.heading}>
      <input
        className={classes.title}
        aria-label="Title of this set"
        dir="auto"
        maxLength={MOST_WORDS}
        value={draft ?? title}
        size={Math.max(8, (draft ?? title).length)}
        onChange={(event) => {
          setDraft(event.target.value);
          const words = tidyWords(event.target.value);
          if (words && words !== title) change({ kind: 'rename', title: words }, gesture.id());
        }}
        onFocus={gesture.begin}
        onBlur={() => setDraft(undefined)}
        onKeyDown={(event) => {
          if (event.key === 'Enter') event.currentTarget.blur();
        }}
      />
    </h1>
  );
}
