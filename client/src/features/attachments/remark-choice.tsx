import { createElement, useRef, useState } from 'react';
import { View } from 'react-native';
import { useStore } from 'react-redux';
import { useLiveHouse } from '@/store/live-house.tsx';
import { selectRows } from '@/store/rows.ts';
import { useOpenHouse, type Store } from '@/store/store.ts';
import { ErrorLine, IconButton, Txt } from '@/ui';
import { t } from '@/words';
import { sayBytes } from '@/words/sizes.ts';
import { attachFiles, sifted, useFileRoom, useFileSender } from './use-attach.ts';

/** Files that are to come with the next remark, and what is wrong with others. */
export interface ChosenFilesState {
  files: readonly File[];
  problems: readonly string[];
  add: (files: File[]) => void;
  drop: (nth: number) => void;
  /** Says the remark, and sends them with it; gives why it was refused. */
  sendWith: <Refusal>(say: () => Refusal | null) => Refusal | null;
}

export function useChosenFiles(itemId: string): ChosenFilesState {
  const store = useStore() as Store;
  const { me } = useOpenHouse();
  const live = useLiveHouse();
  const sender = useFileSender();
  const [files, setFiles] = useState<readonly File[]>([]);
  // the room is looked at once something is chosen, not for every remark
  const room = useFileRoom(files.length > 0);
  const [problems, setProblems] = useState<readonly string[]>([]);
  const remarks = () => selectRows(store.getState().house).by('comment', 'itemId', itemId);
  const add = (more: File[]) => {
    const { fit, problems: wrong } = sifted([...files, ...more], room);
    setFiles(fit);
    setProblems(wrong);
  };
  const sendWith: ChosenFilesState['sendWith'] = (say) => {
    const known = new Set(remarks().map(({ id }) => id));
    const refused = say();
    if (refused !== null) return refused;
    const said = remarks().find(({ id, authorId }) => !known.has(id) && authorId === me.id);
    setFiles([]);
    setProblems(said && files.length > 0 ? attachFiles({ live, sender }, { names: { comment: said.id } }, files, room) : []);
    return null;
  };
  const drop = (nth: number) => {
    setFiles(files.filter((_, at) => at !== nth));
    setProblems([]);
  };
  return { files, problems, add, drop, sendWith };
}

/** What is chosen so far, each taken out again by a tap. */
export function ChosenFiles({ chosen: { files, problems, drop } }: { chosen: ChosenFilesState }) {
  if (files.length + problems.length === 0) return null;
  return (
    <View className="gap-1">
      {files.map((file, nth) => (
        <View key={`${nth} ${file.name}`} className="flex-row items-center gap-2">
          <Txt size={15} numberOfLines={1} className="min-w-0 shrink">
            {file.name}
          </Txt>
          <Txt size={13} tone="muted">
            {sayBytes(file.size)}
          </Txt>
          <IconButton icon="close" label={t('files.leaveOut', { name: file.name })} onPress={() => drop(nth)} />
        </View>
      ))}
      {problems.map((problem) => (
        <ErrorLine key={problem} says={problem} />
      ))}
    </View>
  );
}

/** A file to come with a remark: on a phone the camera is offered there too. */
export function ChooseForRemark({ onFiles }: { onFiles: (files: File[]) => void }) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      {createElement('input', {
        ref: input,
        type: 'file',
        multiple: true,
        hidden: true,
        'aria-label': t('files.toRemark'),
        onChange: ({ target }: React.ChangeEvent<HTMLInputElement>) => {
          onFiles([...(target.files ?? [])]);
          // the same one can be chosen again
          target.value = '';
        },
      })}
      <IconButton icon="paperclip" label={t('files.toRemark')} onPress={() => input.current?.click()} />
    </>
  );
}
