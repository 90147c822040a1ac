import { defineConfig } from '@playwright/test';
import { existsSync } from 'node:fs';

/** The same browser without what surrounds a page, which nobody sees here: a quarter of the time. Both are Debian’s. */
const SHELL = '/usr/bin/chromium-headless-shell';

/** What Chromium does of its own in every window: its address field alone is a quarter of a journey's time. The rest Playwright leaves out too. */
const NOT_OURS = [
  'WebUIOmniboxPopup',
  'WebUIOmniboxAimPopup',
  'WebUIOmniboxFullPopup',
  'AimEnabled',
  'AvoidUnnecessaryBeforeUnloadCheckSync',
  'DestroyProfileOnBrowserClose',
  'HttpsUpgrades',
  'HttpsFirstBalancedModeAutoEnable',
  'LensOverlay',
  'MediaRouter',
  'NetworkTimeServiceQuerying',
  'OptimizationHints',
  'PaintHolding',
  'PreconnectToSearch',
  'ThirdPartyStoragePartitioning',
];

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
    launchOptions: {
      executablePath: existsSync(SHELL) ? SHELL : '/usr/bin/chromium',
      args: [
        '--headless',
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--js-flags=--no-opt,--no-maglev',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        `--disable-features=${NOT_OURS.join(',')}`,
      ],
    },
  },
});
