import { sendingShown, type Sending } from '../store/sending.ts';
import type { Store } from '../store/store.ts';
import { selectRows } from '../store/rows.ts';
import { FileSender, type Known } from './file-sender.ts';
import { filesOnDevice, type WaitingFile } from './waiting-files.ts';

const senders = new WeakMap<Store, Map<string, FileSender>>();

/** What sends the files of an account in a house on this device: one, however many ask for it. */
export function senderOf(store: Store, accountId: string, houseId: string): FileSender {
  const known = senders.get(store) ?? new Map<string, FileSender>();
  senders.set(store, known);
  const key = `${accountId}/${houseId}`;
  const sender = known.get(key) ?? newSender(store, accountId, houseId);
  known.set(key, sender);
  return sender;
}

function newSender(store: Store, accountId: string, houseId: string): FileSender {
  const show = (id: string, sending: Sending | null) => {
    if (sending || store.getState().sending[id]) store.dispatch(sendingShown({ id, sending }));
  };
  const sender = new FileSender({
    files: filesOnDevice(accountId, houseId),
    known: (file) => knownOf(store, houseId, file),
    begin(file, progress) {
      let stop = () => undefined as void;
      let isOver = false;
      const done = import('./tus-try.ts').then(({ tusTry }) => {
        if (isOver) throw new Error('stopped');
        const attempt = tusTry(file, progress);
        stop = () => attempt.stop();
        return attempt.done;
      });
      return { done, stop: () => ((isOver = true), stop()) };
    },
    show,
    schedule(task, afterMs) {
      const timer = setTimeout(task, afterMs);
      return () => clearTimeout(timer);
    },
    alone: (task) => (navigator.locks ? navigator.locks.request(`kotiva/files/${accountId}/${houseId}`, task) : task()),
  });
  follow(store, sender);
  void sender.start();
  return sender;
}

/** Looks again whenever something of the house changed, and at once when the line is back. */
function follow(store: Store, sender: FileSender): void {
  let seen = store.getState().house;
  store.subscribe(() => {
    const { house } = store.getState();
    if (house === seen) return;
    const isBack = house.line === 'live' && seen.line !== 'live';
    seen = house;
    if (isBack) sender.wake();
    else sender.look();
  });
}

/** Its row as the server has it: one decided here is not there yet. */
function knownOf(store: Store, houseId: string, { id, commandId }: WaitingFile): Known {
  const { house } = store.getState();
  if (house.houseId !== houseId || !house.loaded) return 'unannounced';
  if (house.pending.some(({ command, ackSeq }) => command.id === commandId && ackSeq === null)) return 'unannounced';
  const row = selectRows(house).find('attachment', id);
  if (row !== undefined) return row;
  return house.pending.some(({ command }) => command.id === commandId) ? 'unannounced' : 'none';
}
