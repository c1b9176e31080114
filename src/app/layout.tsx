import '@fontsource-variable/brygada-1918';
import '@fontsource-variable/source-sans-3';
import '@/ui/kit/componentStyles';
import '@mantine/notifications/styles.css';
import './globals.css';
import { ColorSchemeScript, mantineHtmlProps } from '@mantine/core';
import type { Metadata, Viewport } from 'next';
import { headers } from 'next/headers';
import type { ReactNode } from 'react';
import { Providers } from '@/ui/kit/Providers';

export const metadata: Metadata = {
  title: 'Merry Lacquer',
  description: 'Plan a ten-nail art set: layers, curing order, sitting.',
};
export const viewport: Viewport = { themeColor: '#8a2532' };

export default async function RootLayout({ children }: { children: ReactNode }) {
  // Reading it makes every page one that is rendered for its request, as a policy by nonce asks for.
  const nonce = (await headers()).get('x-nonce') ?? undefined;
  return (
    <html lang="en" {...mantineHtmlProps}>
      <head>
        <ColorSchemeScript defaultColorScheme="auto" nonce={nonce} suppressHydrationWarning />
      </head>
      <body>
        <Providers nonce={nonce}>{children}</Providers>
      </body>
    </html>
  );
}
