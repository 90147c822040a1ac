import { createContext, useCallback, useContext, useEffect, useMemo, useState } from 'react';
import { useDispatch } from 'react-redux';
import { forgetAhead, KEPT_ME as KEPT } from '@/sync/asked-ahead.ts';
import { forgetAll, sealAll } from '@/sync/idb-cache.ts';
import { ask, type Me } from '@/store/api.ts';
import { forgetClock } from '@/store/clock.ts';
import { keepOwnPicture } from '@/store/own-picture.ts';
import { forgetDrafts } from '@/store/drafts.ts';
import { forgetFresh } from '@/store/fresh-since.ts';
import { forgetVisits, lookingSwitched } from '@/store/looking.ts';

type Standing =
  | { state: 'asking' }
  /** The server can’t be asked, and this device knows nobody. */
  | { state: 'away' }
  | { state: 'out'; why: 'fresh' | 'signed-out' }
  | {
      state: 'in';
      me: Me;
      houseId: string | null;
      /** The house one was in until a moment ago, and may not enter any more. */
      ended?: string;
    };

interface Session {
  standing: Standing;
  /** Asks the server anew who is signed in here. */
  refresh(): Promise<void>;
  /** On this device; or on all of them, where access keys end too but those named. */
  signOut(everywhere: boolean, keepKeys?: readonly string[]): Promise<void>;
  choose(houseId: string): void;
  /** The server no longer lets this device in. */
  lost(why: 'signed-out' | 'not-a-member'): void;
  /** It was read that access to a house has ended. */
  readEnded(): void;
}

const SessionContext = createContext<Session | null>(null);
const CHOSEN = 'kotiva/house';
/** Somebody has signed in here before: no more than that, and it stays. */
const KNOWN = 'kotiva/known';
export const isKnownHere = (): boolean => localStorage.getItem(KNOWN) !== null;

/** Who is signed in on this device; kept for starting without a network, gone with signing out. */
export function SessionProvider({ children }: { children: React.ReactNode }) {
  // what was kept is shown at once; the answer corrects it
  const [standing, setStanding] = useState<Standing>(keptStanding);

  const dispatch = useDispatch();
  const enter = useCallback((me: Me) => {
    localStorage.setItem(KEPT, JSON.stringify(me));
    localStorage.setItem(KNOWN, 'yes');
    setStanding({ state: 'in', me, houseId: chosenHouse(me) });
  }, []);

  /** Off this device. What was typed and not sent stays, for whoever typed it; `forget`: nothing of them stays. */
  const leave = useCallback(
    async (why: 'fresh' | 'signed-out', forget: string | null = null) => {
      localStorage.removeItem(KEPT);
      localStorage.removeItem(CHOSEN);
      forgetAhead();
      dispatch(lookingSwitched(false));
      forgetVisits();
      forgetClock();
      keepOwnPicture(null);
      setStanding({ state: 'out', why });
      if (forget !== null) {
        forgetDrafts(forget);
        forgetFresh(forget);
      }
      await (forget === null ? sealAll() : forgetAll(forget)).catch(() => undefined);
    },
    [dispatch],
  );

  const refresh = useCallback(async () => {
    const answer = await ask<Me>('GET', '/me');
    if (answer.ok) return enter(answer.value);
    if (answer.problem.status === 401) return leave('fresh');
    const kept = localStorage.getItem(KEPT);
    if (kept) enter(JSON.parse(kept) as Me);
    else setStanding(isAway(answer.problem.status) ? { state: 'away' } : { state: 'out', why: 'fresh' });
  }, [enter, leave]);

  useEffect(() => {
    // eslint-disable-next-line react-hooks/set-state-in-effect -- it sets state when the server has answered
    void refresh();
  }, [refresh]);

  const session = useMemo<Session>(
    () => ({
      standing,
      refresh,
      async signOut(everywhere, keepKeys = []) {
        await ask('DELETE', `/session${everywhere ? `?everywhere=1${keepKeys.map((id) => `&keep=${id}`).join('')}` : ''}`);
        await leave('fresh', standing.state === 'in' ? standing.me.account.id : null);
      },
      choose(houseId) {
        localStorage.setItem(CHOSEN, houseId);
        setStanding((now) => (now.state === 'in' ? { ...now, houseId } : now));
      },
      lost(why) {
        if (why === 'signed-out') void leave('signed-out');
        else {
          localStorage.removeItem(CHOSEN);
          const ended = standing.state === 'in' ? standing.me.houses.find(({ houseId }) => houseId === standing.houseId)?.name : undefined;
          void refresh().then(() => setStanding((now) => (now.state === 'in' ? { ...now, ended } : now)));
        }
      },
      readEnded: () => setStanding((now) => (now.state === 'in' ? { ...now, ended: undefined } : now)),
    }),
    [standing, refresh, leave],
  );
  return <SessionContext.Provider value={session}>{children}</SessionContext.Provider>;
}

export function useSession(): Session {
  const session = useContext(SessionContext);
  if (!session) throw new Error('outside of SessionProvider');
  return session;
}

/** Inside the house: who is signed in. */
export function useMe(): Me {
  const { standing } = useSession();
  if (standing.state !== 'in') throw new Error('nobody is signed in');
  return standing.me;
}

/** The device this is, as the server knows it; null where nobody is signed in. */
export function useDeviceId(): string | null {
  const session = useContext(SessionContext);
  return session?.standing.state === 'in' ? session.standing.me.deviceId : null;
}

/** Nothing answered, or nothing of ours. */
const isAway = (status: number | undefined): boolean => !status || status >= 500;

function keptStanding(): Standing {
  try {
    const me = JSON.parse(localStorage.getItem(KEPT) ?? 'null') as Me | null;
    return me ? { state: 'in', me, houseId: chosenHouse(me) } : { state: 'asking' };
  } catch {
    return { state: 'asking' };
  }
}

function chosenHouse({ houses }: Me): string | null {
  const chosen = localStorage.getItem(CHOSEN);
  return houses.find(({ houseId }) => houseId === chosen)?.houseId ?? houses[0]?.houseId ?? null;
}
