/**
 * What a device that knows nobody yet asks for first: who is signed in, and the first rows of their house. It is asked before anything is
 * drawn, so that the answers come while the screens are made ready. Each answer is taken once, by whoever would have asked for it.
 */

/** What is kept of who is signed in here. */
export const KEPT_ME = 'kotiva/me';
/** What nobody has taken by then is let go of: it may have been asked for by somebody else since. */
const KEPT_MS = 10_000;

const answers = new Map<string, Promise<Response>>();

/** The answer to a request that was made ahead, or null: then it is to be made. */
export function takeAhead(path: string): Promise<Response> | null {
  const answer = answers.get(path) ?? null;
  answers.delete(path);
  return answer;
}

/** With signing out: what was asked for one person is for nobody else. */
export const forgetAhead = (): void => answers.clear();

/** Never rejects: who takes an answer hears what became of it. A device that knows somebody shows what it holds, and asks for nothing. */
export async function askAhead(): Promise<void> {
  if (knowsSomebody()) return;
  setTimeout(forgetAhead, KEPT_MS);
  const me = await ask('/api/me')
    .then((response) => (response.ok ? (response.clone().json() as Promise<{ houses: { houseId: string }[] }>) : null))
    .catch(() => null);
  const houseId = me?.houses[0]?.houseId;
  if (houseId !== undefined) await ask(changesOf(houseId, 0, true)).catch(() => undefined);
}

export const changesOf = (houseId: string, since: number, fresh: boolean): string => `/api/houses/${houseId}/changes?since=${since}${fresh ? '&fresh=1' : ''}`;

function ask(path: string): Promise<Response> {
  const asked = fetch(path, { credentials: 'same-origin' });
  answers.set(path, asked);
  return asked;
}

function knowsSomebody(): boolean {
  try {
    return localStorage.getItem(KEPT_ME) !== null;
  } catch {
    return true;
  }
}
