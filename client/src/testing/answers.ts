/** What the server answers, one after the other, for tests; the last is given again. Returns what it was asked. */
export function answering(...answers: { status?: number; body: unknown }[]): string[] {
  const asked: string[] = [];
  globalThis.fetch = (path, init) => {
    asked.push(`${init?.method ?? 'GET'} ${String(path)}`);
    const { status = 200, body } = answers.length > 1 ? answers.shift()! : answers[0]!;
    return Promise.resolve({ ok: status < 400, status, json: () => Promise.resolve(body) } as Response);
  };
  return asked;
}
