import { render } from '@testing-library/react';
import { CLUSTERED, NOUNS, type CommandName, type Noun, type Row } from '@kotiva/core';
import { idOf, type World } from '@kotiva/core/testing/world';
import { act } from 'react';
import { Provider } from 'react-redux';
import { CaptureProvider } from '@/features/capture';
import { serverTimeRead } from '@/store/clock.ts';
import { houseSlice, noRows, type ChangePage, type Refused } from '@/store/house.ts';
import { LiveHouseContext } from '@/store/live-house.tsx';
import { makeStore } from '@/store/store.ts';
import { watch } from './nothing-stale.ts';

const rowsOf = ({ rows }: World): [Noun, Row][] => NOUNS.flatMap((noun) => rows.all(noun).map((row): [Noun, Row] => [noun, row]));

/** A screen as somebody of a house in memory sees it: what is done on it runs through the same commands, and shows at once. */
export function inHouse(
  world: World,
  who: string,
  screen: React.ReactElement,
  { decides = true }: { /** What decides commands on this device is there. */ decides?: boolean } = {},
) {
  const store = makeStore();
  const accountId = idOf(`account ${who}`);
  const confirmed = () => {
    const all = noRows();
    for (const [noun, row] of rowsOf(world)) (all[noun] as Record<string, Row>)[row.id] = row;
    return all;
  };
  store.dispatch(
    houseSlice.actions.opened({ houseId: world.houseId, accountId, confirmed: confirmed(), cursor: world.seq, pending: [], refused: [], loaded: true }),
  );
  if (decides) store.dispatch(houseSlice.actions.decidesNow());
  /** What is other than this device has it comes, as from the server. */
  const show = () => {
    const { rows } = store.getState().house.confirmed;
    const put = rowsOf(world).filter(([noun, row]) => rows.find(noun, row.id) !== row);
    const evict = NOUNS.flatMap((noun) => rows.all(noun).flatMap(({ id }) => (world.rows.find(noun, id) ? [] : [{ noun, id }])));
    store.dispatch(houseSlice.actions.pageApplied({ seq: world.seq, from: 0, put: put.map(([noun, row]) => ({ noun, row })), evict }));
  };
  const given: CommandName[] = [];
  const beyond = new Map<string, ChangePage['put']>();
  const live = {
    submit(name: CommandName, payload: never) {
      const decision = world.try(who, name, payload);
      if (decision.outcome !== 'accepted')
        return { id: null, refused: decision.outcome === 'refused' ? decision.reason : { code: 'failed' as const, params: {} } };
      given.push(name);
      show();
      return { id: decision.id, refused: null, notes: decision.notes };
    },
    outcome: () => Promise.reject(new Error('nothing is sent here')),
    reach: async (query: string) => {
      const put = beyond.get(query);
      if (!put) throw new Error(`nothing comes of ${query}`);
      store.dispatch(houseSlice.actions.reached(put));
    },
    putAwayRefusal: (id: string) => void store.dispatch(houseSlice.actions.refusalPutAway(id)),
  };
  store.dispatch(serverTimeRead(world.now));
  const drawn = render(
    <Provider store={store}>
      <LiveHouseContext.Provider value={live as never}>
        <CaptureProvider>{screen}</CaptureProvider>
      </LiveHouseContext.Provider>
    </Provider>,
  );
  watch({
    container: drawn.container,
    readAnew: () => {
      const { house, beyond } = store.getState();
      // what was fetched from beyond the window would be fetched again
      if (Object.keys(beyond).length > 0) return;
      const { confirmed, cursor, from } = house;
      const put = NOUNS.flatMap((noun) => confirmed.rows.all(noun).map((row: Row) => ({ noun, row })));
      store.dispatch(houseSlice.actions.pageApplied({ seq: cursor, from, put, evict: [], reset: true }));
    },
  });
  return {
    ...drawn,
    given,
    /** This device lets go of a thing that is done, with all that names it; it comes where one of these queries is asked. */
    letGo: (itemId: string, queries: readonly string[]) =>
      act(() => {
        const gone = (['item', ...CLUSTERED] as const).flatMap((noun) =>
          (noun === 'item' ? [world.row(itemId)] : world.rows.by(noun, 'itemId', itemId)).map((row: Row) => ({ noun, row })),
        );
        for (const query of queries) beyond.set(query, gone);
        store.dispatch(houseSlice.actions.pageApplied({ seq: world.seq, from: world.seq, put: [], evict: [] }));
        store.dispatch(houseSlice.actions.letGo(gone.map(({ noun, row }) => ({ noun, id: row.id }))));
      }),
    /** What decides commands has come. */
    decidesNow: () => act(() => void store.dispatch(houseSlice.actions.decidesNow())),
    /** What others do meanwhile. */
    meanwhile: (doing: () => void) => act(() => (doing(), show())),
    /** One of one's own commands is refused by the server. */
    refuse: (refused: Refused) =>
      act(() => {
        store.dispatch(houseSlice.actions.given({ command: refused.command, recorded: null }));
        store.dispatch(houseSlice.actions.refused({ id: refused.command.id, reason: refused.reason }));
      }),
    /** The titles of the rows on the screen, in their order. */
    titles: () => [...drawn.container.querySelectorAll('[data-row]')].map((row) => row.firstElementChild!.textContent),
    /** What was last said at the foot of the screen. */
    said: () => store.getState().toast?.words ?? null,
  };
}
