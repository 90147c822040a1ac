// `npm test`: sets up all it needs, then lint, types, unit, browser. `--deep`: more seeds.
import { spawn, spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { build, install, root, run, stop } from './lib.mjs';

const deep = process.argv.includes('--deep');
const started = Date.now();
install();
needChromium();
await sideBySide('lint', 'typecheck');
step('unit', () => run('npx', ['jest', '--ci', '--maxWorkers=2'], { env: { SYNC_SEEDS: deep ? '5000' : '200', KILL_SEEDS: deep ? '200' : '3' } }));
if (deep) step('fuzz', () => run('npx', ['jest', '--ci', '-i', 'hostile/fuzz'], { env: { FUZZ: '100000', FUZZ_STRICT: '1' } }));
step('build', build);
step('browser', () => run('npm', ['run', '-s', 'browser']));
console.log(`Everything passed in ${Math.round((Date.now() - started) / 1000)} s.`);

function step(name, task) {
  console.log(`\n== ${name}`);
  const from = Date.now();
  task();
  console.log(`== ${name}: ${Math.round((Date.now() - from) / 1000)} s`);
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

/** The browser comes from Debian's package. */
function needChromium() {
  if (existsSync('/usr/bin/chromium')) return;
  console.log('Installing Chromium …');
  const sudo = process.getuid?.() === 0 ? [] : ['sudo'];
  const apt = (...args) =>
    spawnSync([...sudo, 'apt-get'][0], [...sudo, 'apt-get', ...args].slice(1), {
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
