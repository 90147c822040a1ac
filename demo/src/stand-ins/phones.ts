import { createECDH, createPublicKey, randomBytes, verify, type ECDH } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import ece from 'http_ece';
import { v7 } from 'uuid';
import type { PushMessage } from '../../../server/src/notify/messenger.ts';

interface Phone {
  id: string;
  accountId: string;
  name: string;
  /** The device's own key pair and secret (RFC 8291), base64url. */
  privateKey: string;
  publicKey: string;
  auth: string;
  shown: PushMessage[];
}

export interface Subscription {
  endpoint: string;
  keys: { p256dh: string; auth: string };
}

/** What a push service answers (RFC 8030): 201 taken, 404 not known, 403 not signed by who it says. */
export type PushAnswer = 201 | 400 | 403 | 404;

/**
 * Simulated phones behind a push service of their own: what is pushed to them arrives encrypted and signed as it would at a real one, is
 * opened with the phone's key, and lies there as a notification. One of the same tag replaces the one before.
 */
export class Phones {
  private readonly phones: Phone[];

  constructor(
    private readonly file: string,
    private readonly base: string,
  ) {
    this.phones = existsSync(file) ? (JSON.parse(readFileSync(file, 'utf8')) as Phone[]) : [];
  }

  all(): readonly Phone[] {
    return this.phones;
  }

  get = (id: string): Phone | undefined => this.phones.find((phone) => phone.id === id);

  /** A new phone of somebody: what its browser would hand over when asked to subscribe. */
  add(accountId: string, name: string): Subscription {
    const keys = createECDH('prime256v1');
    keys.generateKeys();
    const phone: Phone = {
      id: v7(),
      accountId,
      name,
      privateKey: keys.getPrivateKey('base64url'),
      publicKey: keys.getPublicKey('base64url'),
      auth: randomBytes(16).toString('base64url'),
      shown: [],
    };
    this.phones.push(phone);
    this.save();
    return { endpoint: `${this.base}/simulate/push/${phone.id}`, keys: { p256dh: phone.publicKey, auth: phone.auth } };
  }

  receive(id: string, body: Buffer, headers: { authorization?: string; encoding?: string }): PushAnswer {
    const phone = this.get(id);
    if (!phone) return 404;
    if (headers.encoding !== 'aes128gcm') return 400;
    if (!isSigned(headers.authorization ?? '', new URL(this.base).origin)) return 403;
    const message = opened(body, phone);
    if (!message) return 400;
    phone.shown = [message, ...phone.shown.filter(({ tag }) => tag !== message.tag)].slice(0, 50);
    this.save();
    return 201;
  }

  /** A tap on it takes it from the screen. */
  take(id: string, tag: string): PushMessage | null {
    const phone = this.get(id);
    const message = phone?.shown.find((one) => one.tag === tag) ?? null;
    if (phone && message) phone.shown = phone.shown.filter((one) => one !== message);
    this.save();
    return message;
  }

  private save(): void {
    writeFileSync(this.file, JSON.stringify(this.phones));
  }
}

function opened(body: Buffer, { privateKey, auth }: Phone): PushMessage | null {
  try {
    const keys: ECDH = createECDH('prime256v1');
    keys.setPrivateKey(Buffer.from(privateKey, 'base64url'));
    const text = ece.decrypt(body, { version: 'aes128gcm', privateKey: keys, authSecret: auth });
    return JSON.parse(text.toString('utf8')) as PushMessage;
  } catch {
    return null;
  }
}

/** `vapid t=…, k=…` (RFC 8292): a token of ES256 over this audience, signed by the key that comes along. */
function isSigned(authorization: string, audience: string): boolean {
  const [, token, key] = /^vapid\s+t=([\w.-]+),\s*k=([\w-]+)$/i.exec(authorization) ?? [];
  const [head, claims, signature] = token?.split('.') ?? [];
  if (!head || !claims || !signature || !key) return false;
  const point = Buffer.from(key, 'base64url');
  const jwk = { kty: 'EC', crv: 'P-256', x: point.subarray(1, 33).toString('base64url'), y: point.subarray(33).toString('base64url') };
  const publicKey = createPublicKey({ key: jwk, format: 'jwk' });
  const right = verify('sha256', Buffer.from(`${head}.${claims}`), { key: publicKey, dsaEncoding: 'ieee-p1363' }, Buffer.from(signature, 'base64url'));
  const { aud, exp } = JSON.parse(Buffer.from(claims, 'base64url').toString('utf8')) as { aud: string; exp: number };
  return right && aud === audience && exp * 1000 > Date.now();
}
