// `node scripts/bundle-table.mjs [most]`: what the first screen is made of, by source map: kB of each package and folder, as written and gzipped by share.
import { decode } from '@jridgewell/sourcemap-codec';
import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { root, run } from './lib.mjs';

const most = Number(process.argv[2] ?? 40);
const out = mkdtempSync(join(tmpdir(), 'kotiva-bundle-'));
run('npx', ['expo', 'export', '--platform', 'web', '--output-dir', out, '--source-maps'], { cwd: join(root, 'client') });
const scripts = join(out, '_expo/static/js/web');
const first = [...readFileSync(join(out, 'index.html'), 'utf8').matchAll(/src="\/_expo\/static\/js\/web\/([^"]+)"/g)].map(([, name]) => name);
const sizes = new Map();
let whole = 0;
for (const name of readdirSync(scripts).filter((file) => first.includes(file))) whole += addChunk(name);
console.log(`\nFirst screen: ${kb(whole)} kB gzipped, of ${first.join(', ')}`);
for (const [part, bytes] of [...sizes].sort((a, b) => b[1] - a[1]).slice(0, most)) console.log(`${kb(bytes).padStart(8)}  ${part}`);
rmSync(out, { recursive: true, force: true });

/** Shares a chunk's gzipped bytes out among its sources by what each of them takes of it. */
function addChunk(name) {
  const code = readFileSync(join(scripts, name), 'utf8');
  const gzipped = gzipSync(code, { level: 9 }).length;
  const map = JSON.parse(readFileSync(join(scripts, name.replace(/\.js$/, '.js.map')), 'utf8'));
  const lines = code.split('\n');
  const own = new Map();
  for (const [nth, segments] of decode(map.mappings).entries())
    for (const [at, segment] of segments.entries()) {
      const end = segments[at + 1]?.[0] ?? lines[nth].length;
      if (segment.length > 1) own.set(segment[1], (own.get(segment[1]) ?? 0) + end - segment[0]);
    }
  const mapped = [...own.values()].reduce((sum, bytes) => sum + bytes, 0);
  for (const [source, bytes] of own) {
    const part = partOf(map.sources[source] ?? '?');
    sizes.set(part, (sizes.get(part) ?? 0) + (gzipped * bytes) / mapped);
  }
  return gzipped;
}

/** A package, or a folder of ours. */
function partOf(source) {
  const installed = source.split('node_modules/').at(-1);
  if (installed !== source)
    return installed
      .split('/')
      .slice(0, installed.startsWith('@') ? 2 : 1)
      .join('/');
  return source
    .replace(/^.*?(core|client)\/src\//, '$1/')
    .split('/')
    .slice(0, source.includes('/features/') ? 3 : 2)
    .join('/');
}

function kb(bytes) {
  return (bytes / 1000).toFixed(1);
}
