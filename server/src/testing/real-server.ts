import { serve } from '@hono/node-server';
import { mkdtempSync, rmSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { v5 } from 'uuid';
import { createApp, type AppOptions } from '../app.ts';
import type { Services } from '../context.ts';
import type { Storage } from '../db/open.ts';
import { openIn } from './empty-storage.ts';

const NAMES = '6ba7b811-9dad-11d1-80b4-00c04fd430c8';

/** A real server on a real file, that can be stopped and started again in the middle of things. */
export class RealServer {
  private readonly folder = mkdtempSync(join(tmpdir(), 'kotiva-sync-'));
  private storage!: Storage;
  private http!: ReturnType<typeof serve>;
  services!: Services;
  base = '';
  private app!: ReturnType<typeof createApp>['app'];

  constructor(private readonly options: Partial<Omit<AppOptions, 'storage' | 'version'>> = {}) {}

  /** The same in this process, without sockets; not for what has to outlive a power cut, since nothing is waited for to be on the disk. */
  static quick(options: Partial<Omit<AppOptions, 'storage' | 'version'>> = {}): RealServer {
    const server = new RealServer(options);
    server.overSockets = false;
    return server;
  }
  private overSockets = true;

  get isInThisProcess(): boolean {
    return !this.overSockets;
  }

  get raw(): Storage['raw'] {
    return this.storage.raw;
  }

  async start(): Promise<void> {
    this.storage = openIn(this.folder);
    const { app, services } = createApp({ filesFolder: join(this.folder, 'files'), ...this.options, storage: this.storage, version: 'test' });
    this.services = services;
    this.app = app;
    if (!this.overSockets) return void this.storage.raw.pragma('synchronous = OFF');
    await new Promise<void>((resolve) => {
      // the machine may stand still for longer than a connection is usually kept: asking over one that is just being closed would fail
      const serverOptions = { keepAliveTimeout: 600_000 };
      this.http = serve({ fetch: app.fetch, port: 0, hostname: '127.0.0.1', serverOptions }, (info: AddressInfo) => {
        this.base = `http://127.0.0.1:${info.port}`;
        resolve();
      });
    });
  }

  /** Asks it something: over a socket, or the same handlers in this process. */
  async fetch(path: string, init: RequestInit): Promise<Response> {
    return this.overSockets ? fetch(this.base + path, init) : this.app.request(path, init);
  }

  async restart(): Promise<void> {
    await this.halt();
    await this.start();
  }

  async stop(): Promise<void> {
    await this.halt();
    rmSync(this.folder, { recursive: true, force: true });
  }

  /** What happened in a house up to now was so many days earlier: as if it had rested since. */
  age(houseId: string, days: number): void {
    this.storage.raw.prepare(`UPDATE house_day SET day = date(day, '-${days} days') WHERE "houseId" = ?`).run(houseId);
    this.services.ledger.window.forget(houseId);
  }

  /** An account without the cost of hashing: how it signs in is tested elsewhere. */
  signIn(name: string): { accountId: string; cookie: string } {
    const id = v5(name, NAMES);
    this.storage.raw
      .prepare("INSERT OR IGNORE INTO account (id, email, name, \"passwordHash\", theme, \"createdAt\") VALUES (?, ?, ?, '', 'device', '')")
      .run(id, `${name}@example.org`, name);
    return { accountId: id, cookie: `kotiva_session=${this.services.accounts.signIn(id, 'test')}` };
  }

  private async halt(): Promise<void> {
    if (this.overSockets) {
      (this.http as unknown as { closeAllConnections(): void }).closeAllConnections();
      await new Promise((resolve) => this.http.close(resolve));
    }
    this.storage.close();
  }
}
