import { defineConfig } from '@playwright/test';

const PORT = 4310;
const ADDRESS = `http://localhost:${PORT}`;

/** What keeps a server or a browser of its own busy, counts memory, or kills tabs: one at a time, in a run of its own. */
const ALONE = /(server|offline|kept|journey)\.spec\.ts$/;

export default defineConfig({
  testDir: 'tests',
  // Slow machines are slow, not wrong.
  timeout: 300_000,
  expect: { timeout: 60_000 },
  fullyParallel: true,
  workers: 2,
  retries: 0,
  projects: [
    // One window stays open for many tests and is emptied between them: a new one costs more than most tests do.
    { name: 'side by side', testIgnore: ALONE, use: { reuseContext: true } },
    { name: 'alone', testMatch: ALONE, fullyParallel: false, workers: 1 },
  ],
  use: {
    baseURL: ADDRESS,
    // Pages come from the server, so that tests can break what they ask for; offline tests let it stand.
    serviceWorkers: 'block',
    viewport: { width: 1280, height: 800 },
    // The first plan is the last; tests of ways out and of what a long search finds say so (tests/helpers.ts).
    storageState: {
      cookies: [],
      origins: [{ origin: ADDRESS, localStorage: [{ name: 'search-iterations', value: '0' }] }],
    },
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
    command: 'node .next/serve.mjs',
    env: { HOST: '127.0.0.1', PORT: String(PORT) },
    port: PORT,
    reuseExistingServer: false,
    timeout: 240_000,
  },
});
