// `npm run bench`: one JSON object a line, each figure beside its baseline in the same run.
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { build, install, root } from './lib.mjs';

const say = console.log;
console.log = console.error;
await install();
await build();
console.log = say;
process.exit(spawnSync('npx', ['tsx', 'src/main.ts'], { cwd: join(root, 'bench'), stdio: 'inherit' }).status ?? 1);
