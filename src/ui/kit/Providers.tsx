'use client';
import '@/core/model/jitless';
import { MantineProvider } from '@mantine/core';
import { setNonce } from 'get-nonce';
import type { ReactNode } from 'react';
import { NotificationPlace } from './notify';
import { theme } from './theme';

/** `nonce`: styles that are made while the page runs carry it, or the page's policy keeps them out. */
export function Providers({ nonce, children }: { nonce: string | undefined; children: ReactNode }) {
  if (nonce) setNonce(nonce);
  return (
    <MantineProvider theme={theme} defaultColorScheme="auto" getStyleNonce={() => nonce ?? ''}>
      <NotificationPlace />
      {children}
    </MantineProvider>
  );
}
