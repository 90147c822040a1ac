import { build } from 'esbuild';
import { join } from 'node:path';
import { ONE_FILE } from '../../server/src/testing/one-file.ts';
import { BUNDLE } from './host.ts';

/** Before the first journey: the servers they share a process with, in one file. */
export default async function bundle(): Promise<void> {
  await build({ entryPoints: [join(import.meta.dirname, 'servers.ts')], outfile: BUNDLE, ...ONE_FILE, external: [...ONE_FILE.external] });
}
