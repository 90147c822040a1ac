// `npm test`: sets up all it needs, then lint, types, unit, browser. `--deep`: more seeds.
import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { build, install, run } from './lib.mjs';

const deep = process.argv.includes('--deep');
const started = Date.now();
install();
needChromium();
step('lint', () => run('npm', ['run', '-s', 'lint']));
step('types', () => run('npm', ['run', '-s', 'typecheck']));
step('unit', () => run('npx', ['jest', '--ci', '--maxWorkers=2'], { env: { SYNC_SEEDS: deep ? '20000' : '1000', KILL_SEEDS: deep ? '200' : '3' } }));
step('build', build);
step('browser', () => run('npm', ['run', '-s', 'browser']));
console.log(`Everything passed in ${Math.round((Date.now() - started) / 1000)} s.`);

function step(name, task) {
  console.log(`\n== ${name}`);
  const from = Date.now();
  task();
  console.log(`== ${name}: ${Math.round((Date.now() - from) / 1000)} s`);
}

/** The browser comes from Debian's package. */
function needChromium() {
  if (existsSync('/usr/bin/chromium')) return;
  console.log('Installing Chromium …');
  const root = process.getuid?.() === 0 ? [] : ['sudo'];
  const apt = (...args) =>
    spawnSync([...root, 'apt-get'][0], [...root, 'apt-get', ...args].slice(1), {
      stdio: 'inherit',
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    });
  apt('update', '-qq');
  apt('install', '-y', '-qq', 'chromium');
  if (!existsSync('/usr/bin/chromium')) {
    console.error("Chromium could not be installed. Install Debian's package 'chromium' and try again.");
    process.exit(1);
  }
}
