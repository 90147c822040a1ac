import { v5 } from 'uuid';
import { UPLOADS } from '../files/uploads.ts';
import { Household } from './household.ts';
import type { RealServer } from './real-server.ts';

const TUS = { 'tus-resumable': '1.0.0' };

/** What a file is with: an item, where nothing else is said. */
type Host = string | { comment: string } | { project: string } | { note: string };

/** A household whose people send files, each request of the protocol by itself. */
export class FilesHouse extends Household {
  constructor(private readonly at: RealServer) {
    super(at);
  }

  static override async of(server: RealServer, members: Parameters<typeof Household.of>[1]): Promise<FilesHouse> {
    const house = new FilesHouse(server);
    await house.found('Aino');
    for (const [name, role] of Object.entries(members)) await house.join(name, role, 'Aino');
    return house;
  }

  /** Says that a file is to come; gives the id of its attachment. */
  async announce(by: string, on: Host, name: string, size: number): Promise<string> {
    return v5('0', await this.must(by, 'attachment.add', { ...(typeof on === 'string' ? { item: on } : on), name, size }));
  }

  /** POST of the protocol. */
  begin(by: string, id: string, size: number, headers: Record<string, string> = {}): Promise<Response> {
    const metadata = `attachment ${Buffer.from(id).toString('base64')}`;
    return this.at.fetch(UPLOADS, {
      method: 'POST',
      headers: { ...this.cookie(by), ...TUS, 'upload-length': String(size), 'upload-metadata': metadata, ...headers },
    });
  }

  /** PATCH from some byte on. */
  put(by: string, id: string, bytes: Uint8Array, offset = 0): Promise<Response> {
    const headers = {
      ...this.cookie(by),
      ...TUS,
      'upload-offset': String(offset),
      'content-type': 'application/offset+octet-stream',
      'content-length': String(bytes.length),
    };
    return this.at.fetch(`${UPLOADS}/${id}`, { method: 'PATCH', headers, body: bytes as BodyInit });
  }

  ask(by: string, method: 'HEAD' | 'DELETE', id: string): Promise<Response> {
    return this.at.fetch(`${UPLOADS}/${id}`, { method, headers: { ...this.cookie(by), ...TUS } });
  }

  /** All of it at once; gives the id of its attachment. */
  async attach(by: string, on: Host, name: string, bytes: Uint8Array): Promise<string> {
    const id = await this.announce(by, on, name, bytes.length);
    const begun = await this.begin(by, id, bytes.length);
    if (begun.status !== 201) throw new Error(`${name}: ${begun.status} ${await begun.text()}`);
    const put = await this.put(by, id, bytes);
    if (put.status !== 204) throw new Error(`${name}: ${put.status} ${await put.text()}`);
    return id;
  }

  get(by: string, id: string, as = 'file', headers: Record<string, string> = {}): Promise<Response> {
    return this.at.fetch(`/files/${this.houseId}/${id}/${as}`, { method: 'GET', headers: { ...this.cookie(by), ...headers } });
  }

  attachment = (id: string) => this.rows('attachment').find((row) => row.id === id);
  cookie = (by: string) => ({ cookie: this.account(by).cookie });
}
