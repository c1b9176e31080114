import type { NextConfig } from 'next';
import { ANSWERS_POLICY, FILES_POLICY, HEADERS } from './src/server/headers';

const policy = (value: string) => [{ key: 'Content-Security-Policy', value }];

const config: NextConfig = {
  reactStrictMode: true,
  poweredByHeader: false,
  // No picture comes from the server: the route that makes them smaller is closed.
  images: { unoptimized: true },
  serverExternalPackages: ['piscina'],
  // Types are checked by `npm test`, once, over tests and scripts too.
  typescript: { ignoreBuildErrors: true },
  experimental: { optimizePackageImports: ['@mantine/core', '@mantine/hooks', '@tabler/icons-react'] },
  headers: async () => [
    { source: '/:path*', headers: Object.entries(HEADERS).map(([key, value]) => ({ key, value })) },
    { source: '/_next/static/:path*', headers: policy(FILES_POLICY) },
    { source: '/icons/:path*', headers: policy(FILES_POLICY) },
    { source: '/manifest.webmanifest', headers: policy(FILES_POLICY) },
    {
      source: '/service-worker.js',
      headers: [...policy(FILES_POLICY), { key: 'Cache-Control', value: 'no-cache' }],
    },
    { source: '/api/:path*', headers: policy(ANSWERS_POLICY) },
  ],
};

export default config;
