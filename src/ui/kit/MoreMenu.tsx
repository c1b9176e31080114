'use client';
import { ActionIcon, Button, Menu, type MenuProps } from '@mantine/core';
import { IconDots } from '@tabler/icons-react';
import type { ReactNode } from 'react';

export interface MenuEntry {
  key: string;
  words: ReactNode;
  danger?: boolean;
  onPick: () => void;
}

interface Props {
  label: string;
  entries: readonly MenuEntry[];
  /** Words and mark on the button; three dots where there are none. */
  face?: { words: string; icon: ReactNode };
}

const MOST_PX = 440;
const EDGE_PX = 8;

/** A long list turns to where there is room and scrolls in itself: past the foot of the screen it would drag the page along. */
const MIDDLEWARES: NonNullable<MenuProps['middlewares']> = {
  flip: true,
  shift: true,
  size: {
    apply: ({ availableHeight, elements }) => {
      elements.floating.style.maxHeight = `${Math.min(MOST_PX, availableHeight - EDGE_PX)}px`;
    },
  },
};

/** What can be done besides, behind one button. */
export function MoreMenu({ label, entries, face }: Props) {
  return (
    <Menu
      position="bottom-end"
      middlewares={MIDDLEWARES}
      returnFocus
      // A menu's children are its entries, and it stands inside the page's own landmark.
      withInitialFocusPlaceholder={false}
      floatingStrategy="fixed"
      portalProps={{ target: 'main' }}
    >
      <Menu.Target>
        {face ? (
          <Button variant="default" leftSection={face.icon}>
            {face.words}
          </Button>
        ) : (
          <ActionIcon variant="subtle" color="gray" aria-label={label}>
            <IconDots size={22} />
          </ActionIcon>
        )}
      </Menu.Target>
      <Menu.Dropdown aria-label={label} mah={MOST_PX} style={{ overflowY: 'auto' }}>
        {entries.map((entry) => (
          <Menu.Item
            key={entry.key}
            mih={44}
            maw={360}
            {...(entry.danger ? { c: 'var(--stop)' } : {})}
            onClick={entry.onPick}
          >
            {entry.words}
          </Menu.Item>
        ))}
      </Menu.Dropdown>
    </Menu>
  );
}
