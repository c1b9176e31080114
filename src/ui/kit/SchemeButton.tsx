'use client';
import { ActionIcon, useComputedColorScheme, useMantineColorScheme } from '@mantine/core';
import { IconMoon, IconSun } from '@tabler/icons-react';

/** Light or dark. */
export function SchemeButton() {
  const { setColorScheme } = useMantineColorScheme();
  const scheme = useComputedColorScheme('light', { getInitialValueInEffect: true });
  const dark = scheme === 'dark';
  return (
    <ActionIcon
      variant="subtle"
      color="gray"
      aria-label={dark ? 'Light colours' : 'Dark colours'}
      onClick={() => setColorScheme(dark ? 'light' : 'dark')}
    >
      {dark ? <IconSun size={22} /> : <IconMoon size={22} />}
    </ActionIcon>
  );
}
