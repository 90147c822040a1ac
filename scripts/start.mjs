// `npm start`: builds if the sources changed, then runs without demo data.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { build, root } from './lib.mjs';

await build();
const child = spawn(process.execPath, [join(root, 'server/out/main.mjs'), ...process.argv.slice(2)], { stdio: 'inherit' });
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill(signal));
child.on('exit', (code) => process.exit(code ?? 0));
