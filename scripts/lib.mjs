// What the commands of package.json share. Node built-ins only: it runs before anything is installed.
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const cache = join(root, '.cache');
const QUIET = { EXPO_OFFLINE: '1', EXPO_NO_TELEMETRY: '1', CI: '1', PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD: '1' };

export function stop(sentence) {
  console.error(sentence);
  process.exit(1);
}

export function needNode() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 19)) stop(`Kotiva needs Node.js 20.19 or newer; this is ${process.versions.node}.`);
}

export function run(command, args, { cwd = root, env = {}, quiet = false } = {}) {
  const done = spawnSync(command, args, {
    cwd,
    env: { ...process.env, ...QUIET, ...env },
    stdio: quiet ? ['ignore', 'pipe', 'pipe'] : ['ignore', 'inherit', 'inherit'],
  });
  if (done.status === 0) return;
  if (quiet) process.stderr.write(Buffer.concat([done.stdout ?? Buffer.alloc(0), done.stderr ?? Buffer.alloc(0)]));
  stop(`'${command} ${args.join(' ')}' failed${done.error ? `: ${done.error.message}` : ''}.`);
}

/** Does something only when what it depends on has changed since it last succeeded. */
export function once(name, inputs, outputs, task) {
  const mark = join(cache, name);
  const now = fingerprint(inputs);
  if (outputs.every((path) => existsSync(join(root, path))) && existsSync(mark) && readFileSync(mark, 'utf8') === now) return false;
  task();
  mkdirSync(cache, { recursive: true });
  writeFileSync(mark, now);
  return true;
}

export function install() {
  needNode();
  once(
    'installed',
    [
      'package.json',
      'package-lock.json',
      'core/package.json',
      'server/package.json',
      'client/package.json',
      'demo/package.json',
      'e2e/package.json',
      'bench/package.json',
    ],
    ['node_modules/expo'],
    () => {
      console.log('Installing what Kotiva is built with …');
      run('npm', ['ci', '--no-audit', '--no-fund'], { quiet: true });
    },
  );
}

const SOURCES = ['core/src', 'core/package.json', 'server/src', 'server/bundle.mjs', 'demo/src', 'package-lock.json'];
const CLIENT = [
  'core/src',
  'client/app',
  'client/src',
  'client/public',
  'client/global.css',
  'client/app.json',
  'client/babel.config.js',
  'client/metro.config.js',
  'client/tailwind.config.js',
  'client/build-extra.mjs',
  'package-lock.json',
];

export function build() {
  install();
  once('server', SOURCES, ['server/out/main.mjs'], () => run(process.execPath, ['server/bundle.mjs'], { quiet: true }));
  once('client', CLIENT, ['client/dist/index.html', 'client/dist/sw.js'], () => {
    console.log('Building the application; the first time takes a minute or two …');
    run('npx', ['expo', 'export', '--platform', 'web', '--output-dir', 'dist'], { cwd: join(root, 'client'), quiet: true });
    run(process.execPath, ['build-extra.mjs'], { cwd: join(root, 'client'), quiet: true });
  });
}

function fingerprint(inputs) {
  const hash = createHash('sha256');
  for (const input of inputs) for (const file of filesUnder(join(root, input))) hash.update(file.slice(root.length)).update(readFileSync(file));
  return hash.digest('hex');
}

function filesUnder(path) {
  if (!existsSync(path)) return [];
  if (!statSync(path).isDirectory()) return [path];
  return readdirSync(path)
    .sort()
    .flatMap((name) => filesUnder(join(path, name)));
}
