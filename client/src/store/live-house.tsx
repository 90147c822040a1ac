import { instantOf, type CommandName, type Note, type Payload, type Reason } from '@kotiva/core';
import { useCallback, createContext, useContext, useEffect, useMemo, useRef } from 'react';
import { useStore } from 'react-redux';
import { v7 } from 'uuid';
import { SyncEngine, type Submission } from '@/sync/engine.ts';
import { httpTransport } from '@/sync/http-transport.ts';
import { idbCache } from '@/sync/idb-cache.ts';
import type { CommandOutcome } from '@/sync/ports.ts';
import { t } from '@/words';
import { sayNote, sayReason } from '@/words/problems.ts';
import { ticked, serverTimeRead } from './clock.ts';
import { deciding } from './deciding.ts';
import { drawn, idle } from './drawn.ts';
import { fetchRest } from './later.ts';
import { houseSlice } from './house.ts';
import { nowOf, toastShown, type Toast, type Store } from './store.ts';

export interface LiveHouse {
  submit<N extends CommandName>(name: N, payload: Payload<N>): Submission;
  outcome(id: string): Promise<CommandOutcome>;
  putAwayRefusal(id: string): void;
  /** Fetches what somebody looks at beyond what the device holds. Rejects where there is no line. */
  reach: (query: string) => Promise<void>;
}

export const LiveHouseContext = createContext<LiveHouse | null>(null);
const TICK_MS = 20_000;

interface Props {
  accountId: string;
  houseId: string;
  onLost: (why: 'signed-out' | 'not-a-member') => void;
  children: React.ReactNode;
}

/** Keeps the chosen house in step with the server while it is on the screen. */
export function LiveHouseProvider({ accountId, houseId, onLost, children }: Props) {
  const store = useStore() as Store;
  const lost = useRef(onLost);
  useEffect(() => {
    lost.current = onLost;
  });

  const engine = useMemo(() => {
    const cache = idbCache(accountId, houseId);
    return new SyncEngine({
      store: { getState: () => store.getState().house, dispatch: (action) => store.dispatch(action) },
      transport: httpTransport(houseId),
      cache,
      accountId,
      houseId,
      newId: () => v7(),
      now: () => nowOf(store.getState()),
      serverTime: (now) => void store.dispatch(serverTimeRead(now)),
      noted: (_id, notes) => sayNotes(store, notes),
      fetchDeciding: (when) => (when === 'now' ? deciding.fetch() : drawn(store).then(deciding.fetch)),
      ended: (why) => {
        if (why === 'not-a-member') void cache.forget();
        lost.current(why);
      },
      schedule: (task, afterMs) => {
        const timer = setTimeout(task, afterMs);
        return () => clearTimeout(timer);
      },
    });
  }, [store, accountId, houseId]);

  useEffect(() => {
    void engine.start();
    void drawn(store).then(() => fetchRest(idle));
    const wake = () => engine.wake();
    const tick = setInterval(() => store.dispatch(ticked()), TICK_MS);
    window.addEventListener('online', wake);
    document.addEventListener('visibilitychange', wake);
    return () => {
      engine.stop();
      clearInterval(tick);
      window.removeEventListener('online', wake);
      document.removeEventListener('visibilitychange', wake);
      store.dispatch(houseSlice.actions.closed());
    };
  }, [engine, store]);

  return <LiveHouseContext.Provider value={engine}>{children}</LiveHouseContext.Provider>;
}

export function useLiveHouse(): LiveHouse {
  const house = useContext(LiveHouseContext);
  if (!house) throw new Error('outside of a house');
  return house;
}

function sayNotes(store: Store, notes: readonly Note[]): void {
  const words = notes.map(sayNote).filter((one) => one !== null);
  if (words.length > 0) store.dispatch(toastShown({ words: words.join(' '), offer: null, tone: 'plain' }));
}

/** What is said when a command was given; with `undo`, the way back is offered. */
export interface Feedback {
  words?: string;
  undo?: boolean;
  /** Something else to offer instead of the way back. */
  offer?: Toast['offer'];
  /** A refusal is shown by the caller, beside its cause. */
  ownRefusal?: boolean;
  /** What can be done instead where it is refused. */
  instead?: (reason: Reason) => Toast['offer'];
}

/** Gives a command from a screen and says what came of it. Returns the reason if it does not apply here. */
export type Submit = <N extends CommandName>(name: N, payload: Payload<N>, saying?: Feedback) => Reason | null;

export function useSubmit(): Submit {
  const house = useLiveHouse();
  const store = useStore() as Store;
  return useCallback<Submit>(
    (name, payload, { words, undo = false, offer, ownRefusal = false, instead } = {}) => {
      const given = house.submit(name, payload);
      const say = (what: string, offered: Toast['offer'], tone: Toast['tone']) =>
        void store.dispatch(toastShown({ words: what, offer: offered, tone, by: given.id ?? undefined }));
      if (given.refused) {
        if (!ownRefusal) say(sayReason(given.refused), instead?.(given.refused) ?? null, 'refused');
        return given.refused;
      }
      const notes = given.notes.map(sayNote).filter((one) => one !== null);
      const spoken = [words, ...notes].filter(Boolean).join(' ');
      if (spoken) say(spoken, offer ?? (undo ? { words: t('common.undo'), commands: [{ name: 'undo', payload: { command: given.id } }] } : null), 'plain');
      return null;
    },
    [house, store],
  );
}

export const momentNow = (): string => instantOf(Date.now());
