import { defineConfig } from '@playwright/test';
import { USUAL } from './browser.ts';

/** One server a journey, each with its own data, those of a worker in one process: see `house.ts` and `host/`. */
export default defineConfig({
  globalSetup: './host/bundle.ts',
  projects: [
    { name: 'journeys', testDir: './journeys' },
    // a walk that breaks something is walked twice
    { name: 'wander', testDir: './wander', timeout: 300_000 },
  ],
  // a journey brings its own data: files of many would leave one worker waiting at the end
  fullyParallel: true,
  workers: 2,
  retries: 0,
  // both end what hangs, neither measures: the machine may stand still for seconds
  timeout: 240_000,
  expect: { timeout: 30_000 },
  reporter: [['list']],
  use: {
    trace: 'off',
    serviceWorkers: 'block',
    launchOptions: USUAL,
  },
});
