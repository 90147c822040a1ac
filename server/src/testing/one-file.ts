import type { BuildOptions } from 'esbuild';

/** A process of its own in one file: how it is put together. */
export const ONE_FILE = {
  bundle: true,
  minifyWhitespace: true,
  legalComments: 'none',
  platform: 'node',
  target: 'node20',
  format: 'esm',
  external: ['libsql', '@libsql/*', '@node-rs/argon2', 'sharp', '@img/*'],
  banner: { js: "import { createRequire as __cr } from 'node:module'; const require = __cr(import.meta.url);" },
} as const satisfies BuildOptions;
