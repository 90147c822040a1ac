import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { createServer, type AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';

export const ROOT = resolve(import.meta.dirname, '../..');

export interface Running {
  base: string;
  stop(): void;
}

/** The application as it is run, with the demo data. */
export async function startDemo(): Promise<Running> {
  const data = mkdtempSync(join(tmpdir(), 'kotiva-bench-'));
  const port = await freePort();
  const child = spawn(process.execPath, [join(ROOT, 'server/out/demo.mjs'), '--port', String(port), '--data', data], { stdio: ['ignore', 'pipe', 'inherit'] });
  await printed(child, 'Sign in');
  return {
    base: `http://127.0.0.1:${port}`,
    stop() {
      child.kill('SIGKILL');
      rmSync(data, { recursive: true, force: true });
    },
  };
}

function printed(child: ChildProcess, words: string): Promise<void> {
  return new Promise((done, failed) => {
    child.stdout!.on('data', (chunk: Buffer) => chunk.toString().includes(words) && done());
    child.once('exit', (code) => failed(new Error(`the server ended with ${code}`)));
  });
}

export function freePort(): Promise<number> {
  return new Promise((done) => {
    const server = createServer();
    server.listen(0, '127.0.0.1', () => {
      const { port } = server.address() as AddressInfo;
      server.close(() => done(port));
    });
  });
}
