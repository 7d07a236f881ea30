import { defineConfig } from '@playwright/test';

/** As in `bench.ts`: pages that compute slower are waited for longer. */
const SLOW = Number(process.env['SLOW'] ?? 1);

export default defineConfig({
  testDir: '.',
  globalSetup: './start-servers.ts',
  // Two cores. Each test makes cases of its own; the first of all begins with a shop that has none.
  workers: 2,
  fullyParallel: false,
  projects: [
    { name: 'an empty shop', testMatch: /1-main-job/ },
    { name: 'a shop at work', testIgnore: /1-main-job/, dependencies: ['an empty shop'] },
  ],
  retries: 0,
  // A busy machine is a normal machine: these are limits of patience, not of speed.
  timeout: 180_000 * SLOW,
  expect: { timeout: 45_000 * SLOW },
  reporter: [['list']],
  outputDir: '../../test-results',
  use: {
    viewport: { width: 1280, height: 800 },
    screenshot: 'only-on-failure',
    // A trace costs a third of the time of a run: ask for one with --trace on.
    trace: 'off',
    reducedMotion: 'reduce',
    acceptDownloads: true,
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: [
        '--headless',
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
});
