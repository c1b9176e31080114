import { defineConfig } from '@playwright/test';

const PORT = 4310;

export default defineConfig({
  testDir: 'tests',
  timeout: 300_000,
  expect: { timeout: 60_000 },
  workers: 1,
  retries: 0,
  use: {
    baseURL: `http://localhost:${PORT}`,
    // Pages come from the server, so that tests can break what they ask for; offline tests let it stand.
    serviceWorkers: 'block',
    viewport: { width: 1280, height: 800 },
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
  webServer: {
    command: `npx next start -H 127.0.0.1 -p ${PORT}`,
    port: PORT,
    reuseExistingServer: false,
    timeout: 240_000,
  },
});
