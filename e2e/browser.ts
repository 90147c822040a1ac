import { existsSync } from 'node:fs';

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

const ARGS = [
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
];

const launched = (name: string) => ({ executablePath: `/usr/bin/${name}`, args: ARGS });

/** Debian’s Chromium as people have it: only what it shows outside of a page needs that. */
export const WHOLE = launched('chromium');
/** The same without what surrounds a page: a quarter of the time less. */
const SHELL = launched('chromium-headless-shell');
export const USUAL = existsSync(SHELL.executablePath) ? SHELL : WHOLE;
