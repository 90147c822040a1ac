import { MOST_FILE_BYTES, type Reason } from '@kotiva/core';
import { useEffect, useState } from 'react';
import { useStore } from 'react-redux';
import { v5 } from 'uuid';
import { senderOf } from '@/files/sender-of.ts';
import { ask } from '@/store/api.ts';
import type { FileSender } from '@/files/file-sender.ts';
import { useLiveHouse, type LiveHouse } from '@/store/live-house.tsx';
import { useOpenHouse, type Store } from '@/store/store.ts';
import { t } from '@/words';
import { sayReason } from '@/words/problems.ts';
import { sayBytes } from '@/words/sizes.ts';
import type { FileHost } from './host.ts';

/** Bytes: of a file, of a house, and how much of that is used. */
export interface FileRoom {
  file: number;
  house: number;
  used: number;
}

/** How much room there is; null until it is known, which it is not without a line. `wanted`: somebody is about to add something. */
export function useFileRoom(wanted = true): FileRoom | null {
  const { house, rows } = useOpenHouse();
  const [room, setRoom] = useState<FileRoom | null>(null);
  const changed = rows.all('attachment').length;
  useEffect(() => {
    if (!wanted) return undefined;
    let isOver = false;
    void ask<FileRoom>('GET', `/houses/${house.id}/files`)
      .then((answer) => {
        if (answer.ok && !isOver) setRoom(answer.value);
      })
      .catch(() => undefined);
    return () => {
      isOver = true;
    };
  }, [house.id, changed, wanted]);
  return room;
}

/** What sends the files of whoever is here. */
export function useFileSender() {
  const store = useStore() as Store;
  const { house, me } = useOpenHouse();
  return senderOf(store, me.accountId ?? '', house.id);
}

/** Adds files to something: announced at once, and sent by themselves. Returns what is wrong with which. */
export function useAttach(host: Pick<FileHost, 'names'>, room: FileRoom | null): (files: readonly File[], asked?: string | null) => string[] {
  const live = useLiveHouse();
  const sender = useFileSender();
  return (files, asked) => attachFiles({ live, sender }, host, files, room, asked);
}

interface Attaching {
  live: Pick<LiveHouse, 'submit'>;
  sender: FileSender;
  /** Takes what is still being put on the device. */
  keeping?: Promise<void>[];
}

/** The same where no item is drawn: what was shared with the application. `kept`: once all of it is on the device. */
export function attachShared(store: Store, live: Attaching['live'], { itemId, files }: { itemId: string; files: readonly File[] }) {
  const { accountId, houseId } = store.getState().house;
  const keeping: Promise<void>[] = [];
  const problems = attachFiles({ live, sender: senderOf(store, accountId ?? '', houseId ?? ''), keeping }, { names: { item: itemId } }, files, null);
  return { problems, kept: Promise.all(keeping) };
}

export function attachFiles(
  { live, sender, keeping = [] }: Attaching,
  { names }: Pick<FileHost, 'names'>,
  files: readonly File[],
  room: FileRoom | null,
  asked?: string | null,
): string[] {
  const { fit, problems } = sifted(files, room);
  for (const file of fit) {
    const given = live.submit('attachment.add', { ...names, name: file.name, size: file.size, ...(asked === undefined ? {} : { asked }) });
    if (given.id === null) problems.push(sayReason(given.refused as Reason));
    else keeping.push(sender.add({ id: v5('0', given.id), commandId: given.id, blob: file, paused: false, begun: false, at: Date.now() }));
  }
  return problems;
}

/** What is wrong with some before anything is sent, with both sizes; the others. */
export function sifted(files: readonly File[], room: FileRoom | null): { fit: File[]; problems: string[] } {
  const fit: File[] = [];
  const problems: string[] = [];
  let left = room ? room.house - room.used : Infinity;
  for (const file of files) {
    const problem = faultOf(file, room?.file ?? MOST_FILE_BYTES, left);
    if (problem) problems.push(problem);
    else {
      left -= file.size;
      fit.push(file);
    }
  }
  return { fit, problems };
}

function faultOf({ name, size }: File, max: number, left: number): string | null {
  if (size === 0) return t('files.empty', { name });
  if (size > max) return t('files.tooLarge', { name, size: sayBytes(size), max: sayBytes(max) });
  return size > left ? t('files.houseFull', { name, size: sayBytes(size), max: sayBytes(Math.max(0, left)) }) : null;
}
