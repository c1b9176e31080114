'use client';
import { ActionIcon, Button, useComputedColorScheme, useMantineColorScheme } from '@mantine/core';
import {
  IconArrowBackUp,
  IconArrowForwardUp,
  IconDownload,
  IconHelp,
  IconMoon,
  IconSun,
} from '@tabler/icons-react';
import { useHotkeys } from '@mantine/hooks';
import { useState } from 'react';
import { downloadSet } from '../kit/download';
import { countWords, timeWords } from '../kit/words';
import { late } from '../kit/late';
import { useStudio, useUndo } from './studio';
import classes from './SetBar.module.css';

const KeysHelp = late(() => import('./KeysHelp').then((module) => module.KeysHelp), 'The list of keys');

const AllFindings = late(() => import('./AllFindings').then((module) => module.AllFindings), 'What is found');

const SAVING_WORDS = {
  saved: 'Saved',
  saving: 'Saving …',
  conflict: 'Waits for your choice',
  failed: 'Not saved: export it to keep it',
} as const;

const PLANNING_WORDS = { fresh: '', making: 'planning …', failed: 'not planned' } as const;

/** The bar over every view: title, what is found, how long, undo and redo, export. */
export function SetBar() {
  const set = useStudio((s) => s.set);
  const plan = useStudio((s) => s.plan);
  const planning = useStudio((s) => s.planning);
  const saving = useStudio((s) => s.saving);
  const planned_ms = useStudio((s) => s.planned_ms);
  const searched = useStudio((s) => s.searched);
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
      <span className={classes.saving} role="status">
        {SAVING_WORDS[saving]}
      </span>
      <span className={classes.grow} />
      {plan && (
        <Button
          variant="subtle"
          color="gray"
          h={44}
          className={classes.sum}
          data-testid="plan-sum"
          data-planned-ms={planned_ms}
          data-searched={searched}
          data-planning={planning}
          title="What is found"
          onClick={() => setFound(true)}
        >
          {planning === 'fresh'
            ? `${timeWords(plan.sitting.total_s)} · ${countWords(plan.findings)}`
            : `${timeWords(plan.sitting.total_s)} before · ${PLANNING_WORDS[planning]}`}
        </Button>
      )}
      {!plan && (
        <span className={classes.saving} role="status">
          {PLANNING_WORDS[planning]}
        </span>
      )}
      <ActionIcon
        size={44}
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
        size={44}
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
        h={44}
        leftSection={<IconDownload size={18} />}
        onClick={() => downloadSet(set)}
      >
        Export
      </Button>
      <SchemeButton />
      <ActionIcon
        size={44}
        variant="subtle"
        color="gray"
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

function Title() {
  const title = useStudio((s) => s.set.title);
  const change = useStudio((s) => s.change);
  const [draft, setDraft] = useState(title);
  const [shown, setShown] = useState(title);
  if (shown !== title) {
    setShown(title);
    setDraft(title);
  }
  const commit = () => {
    const words = draft.trim();
    if (words && words !== title) change({ kind: 'rename', title: words.slice(0, 120) });
    else setDraft(title);
  };
  return (
    <h1 className={classes.heading}>
      <input
        className={classes.title}
        aria-label="Title of this set"
        value={draft}
        size={Math.max(8, draft.length)}
        onChange={(event) => setDraft(event.target.value)}
        onBlur={commit}
        onKeyDown={(event) => {
          if (event.key === 'Enter') event.currentTarget.blur();
          if (event.key === 'Escape') setDraft(title);
        }}
      />
    </h1>
  );
}

export function SchemeButton() {
  const { setColorScheme } = useMantineColorScheme();
  const scheme = useComputedColorScheme('light', { getInitialValueInEffect: true });
  const dark = scheme === 'dark';
  return (
    <ActionIcon
      size={44}
      variant="subtle"
      color="gray"
      aria-label={dark ? 'Light colours' : 'Dark colours'}
      onClick={() => setColorScheme(dark ? 'light' : 'dark')}
    >
      {dark ? <IconSun size={22} /> : <IconMoon size={22} />}
    </ActionIcon>
  );
}
