import { defineConfig } from '@playwright/test';

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

/** One server a journey, each with its own data: see `house.ts`. */
export default defineConfig({
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
      executablePath: '/usr/bin/chromium',
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
