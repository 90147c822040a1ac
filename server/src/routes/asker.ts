import { getConnInfo } from '@hono/node-server/conninfo';
import type { Context } from 'hono';
import type { AttemptLimit } from '../auth/limits.ts';
import type { Services } from '../context.ts';
import { Problem } from '../problem.ts';

/** Where a request comes from, and how often it may come. */

export function refuseWhileLimited(limit: { wait(key: string): number }, key: string): void {
  const minutes = limit.wait(key);
  if (minutes > 0) throw new Problem(429, 'too-many-attempts', `Too many attempts. Try again in ${minutes} min.`, { params: { minutes } });
}

/** Counts one, unless there were too many already. */
export function take(limit: AttemptLimit, key: string): void {
  refuseWhileLimited(limit, key);
  limit.count(key);
}

/** The address a request comes from, behind the proxies that are trusted. */
export function addressOf(c: Context, { proxies }: Pick<Services, 'proxies'>): string {
  return proxies.clientOf(remoteOf(c), { forwarded: c.req.header('forwarded'), forwardedFor: c.req.header('x-forwarded-for') });
}

export function remoteOf(c: Context): string {
  try {
    return getConnInfo(c).remote.address ?? 'unknown';
  } catch {
    return 'unknown';
  }
}
