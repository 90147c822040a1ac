import { allows, finding, isAddress, isPicture, type Attachment, type Item } from '@kotiva/core';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { useDraft } from '@/store/drafts.ts';
import { useSubmit } from '@/store/live-house.tsx';
import { useOpenHouse } from '@/store/store.ts';
import { ConfirmRow, ErrorLine, Field, Heading, Txt } from '@/ui';
import { useLayerElement } from '@/ui/layers.ts';
import { t } from '@/words';
import { sayReason } from '@/words/problems.ts';
import { sayBytes } from '@/words/sizes.ts';
import { ChooseFiles } from './choose-files.tsx';
import { FileRow } from './file-row.tsx';
import { attachmentsOf } from '@/features/files';
import { PictureTile } from './picture-tile.tsx';
import { useAttach, useFileRoom } from './use-attach.ts';
import { SketchSheet, Viewer } from './fetched.ts';
import { MOST_FILE_BYTES } from '@kotiva/core';

/** What is with an item: its pictures side by side, everything else in rows, and how to add to it. */
export function Files({ item }: { item: Item }) {
  const { rows, me } = useOpenHouse();
  const room = useFileRoom();
  const attach = useAttach(item.id, room);
  const [problems, setProblems] = useState<string[]>([]);
  const [linking, setLinking] = useState(false);
  const [shown, setShown] = useState<string | null>(null);
  const [drawing, setDrawing] = useState<{ on: Attachment | null } | null>(null);
  const mayAdd = item.removedAt === null && allows({ permission: 'answer', item: item.id }, me, finding(rows));
  const all = attachmentsOf(rows, item.id);
  const pictures = all.filter(isShownPicture);
  const others = all.filter((one) => !isShownPicture(one));
  const add = (files: File[]) => setProblems(attach(files));
  const isDropping = useFilesGivenTo(mayAdd ? add : null);
  if (all.length === 0 && !mayAdd) return null;
  return (
    <View className={`mt-4 gap-2 rounded-sheet ${isDropping ? 'bg-sunk' : ''}`}>
      {all.length > 0 ? <Heading level={3}>{t('files.title')}</Heading> : null}
      {pictures.length > 0 ? (
        <View role="list" aria-label={t('files.pictures')} className="flex-row flex-wrap gap-2">
          {pictures.map((picture) => (
            <PictureTile key={picture.id} picture={picture} onOpen={() => setShown(picture.id)} />
          ))}
        </View>
      ) : null}
      {others.map((one) => (
        <FileRow key={one.id} attachment={one} item={item} />
      ))}
      {problems.map((problem) => (
        <ErrorLine key={problem} says={problem} />
      ))}
      {linking ? (
        <LinkForm item={item} onClose={() => setLinking(false)} />
      ) : mayAdd ? (
        <View className="-ml-2">
          <ChooseFiles onFiles={add} onLink={() => setLinking(true)} onDraw={() => setDrawing({ on: null })} />
          <Txt size={13} tone="muted" className="ml-2">
            {isDropping
              ? t('files.drop', { title: item.title })
              : room
                ? t('files.room', { max: sayBytes(room.file), left: sayBytes(room.house - room.used) })
                : t('files.roomUnknown', { max: sayBytes(MOST_FILE_BYTES) })}
          </Txt>
        </View>
      ) : null}
      {shown ? (
        <Viewer
          item={item}
          pictures={pictures}
          at={shown}
          onShow={setShown}
          onClose={() => setShown(null)}
          onDraw={mayAdd ? (on) => (setShown(null), setDrawing({ on })) : null}
        />
      ) : null}
      {drawing ? <SketchSheet item={item} on={drawing.on} attach={attach} onClose={() => setDrawing(null)} /> : null}
    </View>
  );
}

const isShownPicture = (one: Attachment): boolean => !isAddress(one) && one.arrivedAt !== null && isPicture(one);

/** Files that are pasted or dropped while the item is open. Returns whether some are held over it. */
function useFilesGivenTo(add: ((files: File[]) => void) | null): boolean {
  const layer = useLayerElement();
  const [over, setOver] = useState(false);
  useEffect(() => {
    if (!add) return undefined;
    const place: EventTarget = layer ?? window;
    const carried = (event: Event) => (event as DragEvent).dataTransfer?.types.includes('Files') ?? false;
    const take = (event: Event, files: FileList | undefined) => {
      if (!files || files.length === 0) return;
      event.preventDefault();
      add([...files]);
    };
    const paste = (event: Event) => take(event, (event as ClipboardEvent).clipboardData?.files);
    const drag = (event: Event) => {
      if (!carried(event)) return;
      event.preventDefault();
      setOver(true);
    };
    const leave = (event: Event) => setOver(event.target !== place && (event as DragEvent).relatedTarget !== null);
    const drop = (event: Event) => {
      setOver(false);
      if (carried(event)) take(event, (event as DragEvent).dataTransfer?.files);
    };
    const events = { paste, dragover: drag, dragleave: leave, drop };
    for (const [name, listen] of Object.entries(events)) place.addEventListener(name, listen);
    return () => {
      for (const [name, listen] of Object.entries(events)) place.removeEventListener(name, listen);
    };
  });
  return over;
}

/** The address of something kept elsewhere. */
function LinkForm({ item, onClose }: { item: Item; onClose: () => void }) {
  const submit = useSubmit();
  const [typed, setTyped, done] = useDraft(`link/${item.id}`, NOTHING);
  const [error, setError] = useState<string | null>(null);
  const close = () => {
    done();
    onClose();
  };
  const save = () => {
    const name = typed.name.trim() ? { name: typed.name } : {};
    const reason = submit('attachment.link', { item: item.id, url: typed.url, ...name }, { ownRefusal: true });
    if (reason) setError(sayReason(reason));
    else close();
  };
  return (
    <View className="gap-3 rounded-sheet bg-ground p-4">
      <Field
        label={t('files.link')}
        placeholder="https://"
        inputMode="url"
        value={typed.url}
        error={error}
        maxLength={2_000}
        autoFocus
        onChangeText={(url) => {
          setTyped({ ...typed, url });
          setError(null);
        }}
        onSubmitEditing={save}
      />
      <Field label={t('files.linkName')} value={typed.name} maxLength={200} onChangeText={(name) => setTyped({ ...typed, name })} onSubmitEditing={save} />
      <ConfirmRow verb={t('files.addThat')} disabled={!typed.url.trim()} onConfirm={save} cancel={t('common.cancel')} onCancel={close} />
    </View>
  );
}

const NOTHING = { url: '', name: '' };
