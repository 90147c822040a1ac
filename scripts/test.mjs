// `npm test`: sets up all it needs, then lint and types, unit, build, browser. `--deep`: more seeds. `--part NAME`: one of them alone.
import { spawn, spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { build, install, root, run, stop } from './lib.mjs';

const deep = process.argv.includes('--deep');
const only = process.argv.includes('--part') ? process.argv[process.argv.indexOf('--part') + 1] : null;

/** In the order they run in; each can be run by itself. */
const PARTS = {
  static: () => sideBySide('lint', 'typecheck'),
  unit: () => run('npx', ['jest', '--ci', '--maxWorkers=2'], { env: { SYNC_SEEDS: deep ? '20000' : '200', KILL_SEEDS: deep ? '200' : '2' } }),
  fuzz: () => run('npx', ['jest', '--ci', '-i', 'hostile/fuzz'], { env: { FUZZ: '100000', FUZZ_STRICT: '1' } }),
  build,
  // every journey with `--deep`; else those whose rule nothing quicker holds: docs/measurements.md names the others
  browser: () => run('npm', ['run', '-s', '--workspace', 'e2e', deep ? 'browser:deep' : 'browser'], { env: deep ? { BROWSER_SEEDS: '50' } : {} }),
  wander: () => run('npm', ['run', '-s', 'wander'], { env: { WANDER_SEEDS: process.env.WANDER_SEEDS ?? '500' } }),
};
const LONG = ['fuzz', 'wander'];
const usual = Object.keys(PARTS).filter((part) => deep || !LONG.includes(part));
if (only !== null && !(only in PARTS)) stop(`There is no part '${only}'. There are: ${Object.keys(PARTS).join(', ')}.`);

const started = Date.now();
await install();
needChromium();
const took = [];
for (const part of only === null ? usual : [only]) {
  console.log(`\n== ${part}`);
  const from = Date.now();
  await PARTS[part]();
  took.push(`${part} ${minutes(Date.now() - from)}`);
}
console.log(`Everything passed in ${minutes(Date.now() - started)} min (${took.join(', ')}).`);

function minutes(ms) {
  return (ms / 60_000).toFixed(1);
}

/** Neither needs the other, and each of them one core. What they say comes when each has ended. */
async function sideBySide(...scripts) {
  const from = Date.now();
  const ended = scripts.map(
    (script) =>
      new Promise((resolve) => {
        let said = '';
        const child = spawn('npm', ['run', '-s', script], { cwd: root, stdio: ['ignore', 'pipe', 'pipe'] });
        for (const stream of [child.stdout, child.stderr]) stream.on('data', (chunk) => (said += chunk));
        child.on('close', (code) => {
          console.log(`\n== ${script}: ${Math.round((Date.now() - from) / 1000)} s\n${said}`);
          resolve(code === 0);
        });
      }),
  );
  const passed = await Promise.all(ended);
  if (passed.includes(false)) stop('Lint or types failed.');
}

/** The browser comes from Debian's packages: as people have it, and without what surrounds a page, which most journeys are quicker in. */
function needChromium() {
  const [whole, shell] = ['chromium', 'chromium-headless-shell'];
  if (isThere(whole) && isThere(shell)) return;
  console.log('Installing Chromium …');
  apt('update', '-qq');
  apt('install', '-y', '-qq', whole, shell);
  // an older Debian has only the one
  if (!isThere(whole)) apt('install', '-y', '-qq', whole);
  if (!isThere(whole)) stop("Chromium could not be installed. Install Debian's package 'chromium' and try again.");
}

function isThere(name) {
  return existsSync(`/usr/bin/${name}`);
}

function apt(...args) {
  const sudo = process.getuid?.() === 0 ? [] : ['sudo'];
  const [command, ...rest] = [...sudo, 'apt-get', ...args];
  spawnSync(command, rest, { stdio: 'inherit', env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' } });
}
