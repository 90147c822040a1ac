import type { Reason } from '@kotiva/core';
import type { Context } from 'hono';
import type { ContentfulStatusCode } from 'hono/utils/http-status';
import type * as z from 'zod';

/** Problem details (RFC 9457). `code` and `params` are worded by the client; `field` says beside what. */
export class Problem extends Error {
  constructor(
    readonly status: ContentfulStatusCode,
    readonly code: string,
    readonly title: string,
    readonly more: { field?: string; params?: Record<string, unknown> } = {},
    /** What it came of, for the log; nobody outside is told. */
    cause?: unknown,
  ) {
    super(title, { cause });
  }
}

export const answerProblem = (c: Context, { status, code, title, more }: Problem): Response =>
  c.body(JSON.stringify({ type: `urn:kotiva:problem:${code}`, title, status, code, ...more }), status, {
    'content-type': 'application/problem+json',
    ...retryAfter(status, more.params),
  });

/** RFC 9110 10.2.3, in seconds: when it is worth another try. */
function retryAfter(status: number, params: Record<string, unknown> = {}): Record<string, string> {
  if (status === 503) return { 'retry-after': '15' };
  return status === 429 ? { 'retry-after': String(60 * Number(params['minutes'] ?? 1)) } : {};
}

/** Parses a request's JSON body, or answers what is wrong with it and where. */
export async function bodyOf<S extends z.ZodType>(c: Context, schema: S): Promise<z.infer<S>> {
  const raw = await c.req.json().catch((cause: unknown) => {
    throw new Problem(400, 'malformed', 'The request is not JSON.', {}, cause);
  });
  const parsed = schema.safeParse(raw);
  if (parsed.success) return parsed.data;
  const issue = parsed.error.issues[0]!;
  throw new Problem(422, 'malformed', issue.message, { field: issue.path.map(String).join('.') }, parsed.error);
}

export type { Reason };
