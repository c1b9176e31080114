import '@fontsource-variable/brygada-1918';
import '@fontsource-variable/source-sans-3';
import '@mantine/core/styles.css';
import '@mantine/notifications/styles.css';
import './globals.css';
import { ColorSchemeScript, mantineHtmlProps } from '@mantine/core';
import type { Metadata } from 'next';
import type { ReactNode } from 'react';
import { Providers } from '@/ui/kit/Providers';

export const metadata: Metadata = {
  title: 'Merry Lacquer',
  description: 'Plan a ten-nail art set: layers, curing order, sitting.',
};

export default function RootLayout({ children }: { children: ReactNode }) {
  return (
    <html lang="en" {...mantineHtmlProps}>
      <head>
        <ColorSchemeScript defaultColorScheme="auto" />
      </head>
      <body>
        <Providers>{children}</Providers>
      </body>
    </html>
  );
}
