// What the commands of package.json share. Node built-ins only: it runs before anything is installed.
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { availableParallelism } from 'node:os';
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

export function run(command, args, { cwd = root, env = {} } = {}) {
  const done = spawnSync(command, args, {
    cwd,
    env: { ...process.env, ...QUIET, ...env },
    stdio: ['ignore', 'inherit', 'inherit'],
  });
  if (done.status === 0) return;
  stop(`'${command} ${args.join(' ')}' failed${done.error ? `: ${done.error.message}` : ''}.`);
}

/** What takes a while, with nothing of its own to say: what it is doing, and for how long. What went wrong is shown whole. */
async function runLong(words, command, args, { cwd = root } = {}) {
  const from = Date.now();
  const seconds = () => Math.round((Date.now() - from) / 1000);
  // a terminal shows one line that counts; a log gets a line every half minute
  const isTerminal = process.stdout.isTTY === true;
  const tell = () => (isTerminal ? process.stdout.write(`\r${words} … ${seconds()} s`) : console.log(`${words} … ${seconds()} s`));
  tell();
  const ticking = setInterval(tell, isTerminal ? 1_000 : 30_000);
  const child = spawn(command, args, { cwd, env: { ...process.env, ...QUIET }, stdio: ['ignore', 'pipe', 'pipe'] });
  const printed = [];
  for (const stream of [child.stdout, child.stderr]) stream.on('data', (chunk) => printed.push(chunk));
  const status = await new Promise((resolve) => {
    child.once('error', () => resolve(1));
    child.once('close', resolve);
  });
  clearInterval(ticking);
  console.log(`${isTerminal ? '\r' : ''}${words}: ${seconds()} s`);
  if (status === 0) return;
  process.stderr.write(Buffer.concat(printed));
  stop(`'${command} ${args.join(' ')}' failed.`);
}

/** Does something only when what it depends on has changed since it last succeeded. */
async function once(name, inputs, outputs, task) {
  if (isCurrent(name, inputs, outputs)) return;
  await task();
  mkdirSync(cache, { recursive: true });
  writeFileSync(join(cache, name), fingerprint(inputs));
}

function isCurrent(name, inputs, outputs) {
  const mark = join(cache, name);
  return outputs.every((path) => existsSync(join(root, path))) && existsSync(mark) && readFileSync(mark, 'utf8') === fingerprint(inputs);
}

const MANIFESTS = [
  'package.json',
  'package-lock.json',
  'core/package.json',
  'server/package.json',
  'client/package.json',
  'demo/package.json',
  'e2e/package.json',
  'bench/package.json',
];

/** All there is: what it runs and is built with, and what it is tested with. */
export async function install() {
  needNode();
  await once('installed', MANIFESTS, ['node_modules/expo', 'node_modules/jest'], () =>
    runLong('Installing what Kotiva is built and tested with', 'npm', ['ci', '--no-audit', '--no-fund']),
  );
}

/** What it runs and is built with alone, in half the time. Where it was once tested, it is kept ready for that. */
async function installToRun() {
  if (existsSync(join(root, 'node_modules/jest'))) return install();
  needNode();
  await once('installed-to-run', MANIFESTS, ['node_modules/expo'], () =>
    runLong('Installing what Kotiva is built with', 'npm', ['ci', '--omit=dev', '--no-audit', '--no-fund']),
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
  'client/minifier.js',
  'client/tailwind.config.js',
  'client/build-extra.mjs',
  'client/index.js',
  'client/left-out.js',
  'client/temporal.js',
  'client/package.json',
  'package-lock.json',
];

/** Left to itself the bundler would keep to one of two cores. */
const WORKERS = String(Math.max(2, availableParallelism()));

export async function build() {
  await installToRun();
  const client = { cwd: join(root, 'client') };
  // neither needs the other, and the server is quick
  await Promise.all([
    once('server', SOURCES, ['server/out/main.mjs'], () => runLong('Building the server', process.execPath, ['server/bundle.mjs'])),
    once('client', CLIENT, ['client/dist/index.html', 'client/dist/sw.js'], async () => {
      await runLong(
        'Building the application, which takes a minute or two',
        'npx',
        ['expo', 'export', '--platform', 'web', '--output-dir', 'dist', '--max-workers', WORKERS],
        client,
      );
      await runLong('Putting it together for offline', process.execPath, ['build-extra.mjs'], client);
    }),
  ]);
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
