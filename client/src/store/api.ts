import type { Reason } from '@kotiva/core';
import { takeAhead } from '@/sync/asked-ahead.ts';

/** RFC 9457 problem details as the server answers them. */
export interface ProblemDetails {
  status: number;
  code: string;
  title: string;
  field?: string;
  params?: Record<string, string | number>;
}

/** What a request came to: an answer, or what is wrong. */
export type Answer<T> = { ok: true; value: T } | { ok: false; problem: ProblemDetails };

const OFFLINE: ProblemDetails = { status: 0, code: 'offline', title: 'No connection' };

export async function ask<T>(method: string, path: string, body?: unknown): Promise<Answer<T>> {
  const init: RequestInit = {
    method,
    credentials: 'same-origin',
    headers: body === undefined ? {} : { 'content-type': 'application/json' },
    body: body === undefined ? undefined : JSON.stringify(body),
  };
  const asked = (method === 'GET' && takeAhead(`/api${path}`)) || fetch(`/api${path}`, init);
  const response = await asked.catch(() => null);
  if (!response) return { ok: false, problem: OFFLINE };
  if (response.status === 204) return { ok: true, value: undefined as T };
  const answer = (await response.json().catch(() => null)) as unknown;
  if (response.ok) return { ok: true, value: answer as T };
  const problem = (answer ?? { code: 'failed', title: '' }) as Omit<ProblemDetails, 'status'>;
  return { ok: false, problem: { ...problem, status: response.status } };
}

export interface Account {
  id: string;
  email: string;
  name: string;
  theme: 'device' | 'light' | 'dark';
}
export interface HouseOfMine {
  houseId: string;
  name: string;
  personId: string;
  role: string;
}
export interface Me {
  account: Account;
  deviceId: string;
  houses: HouseOfMine[];
  now: string;
  simulated: boolean;
  /** There are simulated phones. */
  demo?: boolean;
}

export type CommandAnswer = { outcome: 'accepted'; seq: number } | { outcome: 'refused'; reason: Reason };

/** A command of somebody who is not in the house yet: making it, or joining. Everything else goes through the queue. */
export async function enterHouse(command: {
  id: string;
  houseId: string;
  name: 'house.make' | 'person.join';
  payload: unknown;
  at: string;
}): Promise<Answer<CommandAnswer>> {
  const answer = await ask<{ outcomes: CommandAnswer[] }>('POST', '/commands', { commands: [{ ...command, seen: 0 }] });
  return answer.ok ? { ok: true, value: answer.value.outcomes[0]! } : answer;
}
