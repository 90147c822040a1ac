// `npm run dev`: the server reloads with its sources on 4100, the client with its own on 8081.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { install, root } from './lib.mjs';

await install();
const env = { ...process.env, EXPO_OFFLINE: '1', EXPO_NO_TELEMETRY: '1' };
const children = [
  spawn('npx', ['tsx', 'watch', join(root, 'server/src/main.ts'), '--simulate'], { stdio: 'inherit', env }),
  spawn('npx', ['expo', 'start', '--web'], { cwd: join(root, 'client'), stdio: 'inherit', env }),
];
const end = () => children.forEach((child) => child.kill('SIGTERM'));
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, end);
for (const child of children) child.on('exit', end);
