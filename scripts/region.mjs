// Draws the demo's region anew into demo/region, which is kept in the repository: `node scripts/region.mjs`.
import { build } from 'esbuild';
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { root } from './lib.mjs';

const outfile = join(root, '.cache/region.mjs');
await build({ entryPoints: [join(root, 'demo/src/region/make.ts')], outfile, bundle: true, platform: 'node', format: 'esm' });
const { makeRegion } = await import(pathToFileURL(outfile).href);
mkdirSync(join(root, 'demo/region/tracks'), { recursive: true });
makeRegion(join(root, 'demo/region'));
