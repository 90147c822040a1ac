import { MOST_FILE_BYTES, type Attachment } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { attachmentsOf } from '@/features/files';
import { useOpenHouse } from '@/store/store.ts';
import { ErrorLine, Heading, Txt } from '@/ui';
import { t } from '@/words';
import { sayBytes } from '@/words/sizes.ts';
import { ChooseFiles } from './choose-files.tsx';
import { SketchSheet } from './fetched.ts';
import { FileList } from './file-list.tsx';
import { useFilesGivenTo } from './files-given.ts';
import type { FileHost } from './host.ts';
import { LinkForm } from './link-form.tsx';
import { useAttach, useFileRoom, type FileRoom } from './use-attach.ts';

/** What is with an item, a project or notes of a talk, and how to add to it. */
export function Files({ host }: { host: FileHost }) {
  const { rows } = useOpenHouse();
  const room = useFileRoom();
  const attach = useAttach(host, room);
  const [problems, setProblems] = useState<string[]>([]);
  const [linking, setLinking] = useState(false);
  const [drawing, setDrawing] = useState<{ on: Attachment | null } | null>(null);
  const all = attachmentsOf(rows, host.id);
  const add = (files: File[]) => setProblems(attach(files));
  const isDropping = useFilesGivenTo(host.mayAdd ? add : null);
  if (all.length === 0 && !host.mayAdd) return null;
  return (
    <View className={`mt-4 gap-2 rounded-sheet ${isDropping ? 'bg-sunk' : ''}`}>
      {all.length > 0 ? <Heading level={3}>{t('files.title')}</Heading> : null}
      <FileList files={all} host={host} onDraw={host.mayAdd ? (on) => setDrawing({ on }) : null} />
      {problems.map((problem) => (
        <ErrorLine key={problem} says={problem} />
      ))}
      {linking ? (
        <LinkForm host={host} onClose={() => setLinking(false)} />
      ) : host.mayAdd ? (
        <View className="-ml-2">
          <ChooseFiles onFiles={add} onLink={() => setLinking(true)} onDraw={() => setDrawing({ on: null })} />
          <Txt size={13} tone="muted" className="ml-2">
            {isDropping ? t('files.drop', { title: host.title }) : [host.readers, sayRoom(room)].filter(Boolean).join(' ')}
          </Txt>
        </View>
      ) : null}
      {drawing ? <SketchSheet host={host} on={drawing.on} attach={attach} onClose={() => setDrawing(null)} /> : null}
    </View>
  );
}

const sayRoom = (room: FileRoom | null): string =>
  room ? t('files.room', { max: sayBytes(room.file), left: sayBytes(room.house - room.used) }) : t('files.roomUnknown', { max: sayBytes(MOST_FILE_BYTES) });
