import { build } from 'esbuild';
import { join } from 'node:path';
import { BUNDLE } from './host.ts';

/** Before the first journey: the servers they share a process with, in one file. */
export default async function bundle(): Promise<void> {
  await build({
    entryPoints: [join(import.meta.dirname, 'servers.ts')],
    outfile: BUNDLE,
    bundle: true,
    minifyWhitespace: true,
    legalComments: 'none',
    platform: 'node',
    target: 'node20',
    format: 'esm',
    external: ['libsql', '@libsql/*', '@node-rs/argon2', 'sharp', '@img/*'],
    banner: { js: "import { createRequire as __cr } from 'node:module'; const require = __cr(import.meta.url);" },
  });
}
