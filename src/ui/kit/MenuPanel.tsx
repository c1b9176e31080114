'use client';
import { Menu } from '@mantine/core';
import type { ReactNode } from 'react';

export interface MenuEntry {
  key: string;
  words: ReactNode;
  danger?: boolean;
  onPick: () => void;
}

interface Props {
  opened: boolean;
  label: string;
  entries: readonly MenuEntry[];
  onClose: () => void;
}

/** The open part of a MoreMenu, anchored to the whole of its button. */
export function MenuPanel({ opened, label, entries, onClose }: Props) {
  return (
    <Menu opened={opened} onChange={(open) => !open && onClose()} position="bottom-end" returnFocus>
      <Menu.Target>
        <span style={{ position: 'absolute', inset: 0, pointerEvents: 'none' }} />
      </Menu.Target>
      <Menu.Dropdown aria-label={label}>
        {entries.map((entry) => (
          <Menu.Item
            key={entry.key}
            mih={44}
            maw={360}
            {...(entry.danger ? { color: 'red' } : {})}
            onClick={entry.onPick}
          >
            {entry.words}
          </Menu.Item>
        ))}
      </Menu.Dropdown>
    </Menu>
  );
}
