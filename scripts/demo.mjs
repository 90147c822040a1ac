// `npm run demo`: sets up, builds if the sources changed, fills a fresh demo house through commands, starts.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { build, root } from './lib.mjs';

await build();
const child = spawn(process.execPath, [join(root, 'server/out/demo.mjs'), ...process.argv.slice(2)], { stdio: 'inherit' });
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill(signal));
child.on('exit', (code) => process.exit(code ?? 0));
