'use client';
import { ActionIcon, Button } from '@mantine/core';
import { IconDots } from '@tabler/icons-react';
import { useState, type ReactNode } from 'react';
import { late } from './late';
import type { MenuEntry } from './MenuPanel';

interface Props {
  label: string;
  entries: readonly MenuEntry[];
  /** Words and mark on the button; three dots where there are none. */
  face?: { words: string; icon: ReactNode };
}

/** The menu itself comes when it is first opened. */
const MenuPanel = late(() => import('./MenuPanel').then((module) => module.MenuPanel), 'The menu');

export function MoreMenu({ label, entries, face }: Props) {
  const [state, setState] = useState<'unloaded' | 'open' | 'closed'>('unloaded');
  const toggle = () => setState((before) => (before === 'open' ? 'closed' : 'open'));
  const button = face ? (
    <Button
      variant="default"
      h={44}
      leftSection={face.icon}
      onClick={toggle}
      aria-haspopup="menu"
      aria-expanded={state === 'open'}
    >
      {face.words}
    </Button>
  ) : (
    <ActionIcon
      size={44}
      variant="subtle"
      color="gray"
      aria-label={label}
      onClick={toggle}
      aria-haspopup="menu"
      aria-expanded={state === 'open'}
    >
      <IconDots size={22} />
    </ActionIcon>
  );
  return (
    <span style={{ position: 'relative', display: 'inline-block' }}>
      {button}
      {state !== 'unloaded' && (
        <MenuPanel
          opened={state === 'open'}
          label={label}
          entries={entries}
          onClose={() => setState('closed')}
        />
      )}
    </span>
  );
}
