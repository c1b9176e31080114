'use client';
import { MantineProvider } from '@mantine/core';
import type { ReactNode } from 'react';
import { NotificationPlace } from './notify';
import { theme } from './theme';

export function Providers({ children }: { children: ReactNode }) {
  return (
    <MantineProvider theme={theme} defaultColorScheme="auto">
      <NotificationPlace />
      {children}
    </MantineProvider>
  );
}
