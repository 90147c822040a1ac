// `npm run typecheck`: every workspace against its own rules, one after the other. What has not changed is not checked again.
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { root } from './lib.mjs';

const tsc = join(root, 'node_modules/typescript/bin/tsc');
for (const workspace of ['core', 'server', 'demo', 'client', 'e2e', 'bench']) {
  const from = Date.now();
  const known = join(root, '.cache/tsc', `${workspace}.json`);
  const { status } = spawnSync(process.execPath, [tsc, '--noEmit', '--incremental', '--tsBuildInfoFile', known, '-p', workspace], {
    cwd: root,
    stdio: 'inherit',
  });
  if (status !== 0) process.exit(1);
  console.log(`types of ${workspace}: ${Math.round((Date.now() - from) / 1000)} s`);
}
