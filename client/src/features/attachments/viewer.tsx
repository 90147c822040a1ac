import type { Attachment } from '@kotiva/core';
import { createElement, useEffect } from 'react';
import { View } from 'react-native';
import { nameOf } from '@/words/people.ts';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { IconButton, Menu, Sheet, Txt, type MenuEntry } from '@/ui';
import { Picture } from '@/ui/picture.tsx';
import { t } from '@/words';
import { sayInstant } from '@/words/dates.ts';
import { addressOf, downloadOf } from '@/features/files';
import type { FileHost } from './host.ts';
import { useGoesAlong } from './use-goes-along.ts';
import { useRemove } from './use-remove.ts';

interface ViewerProps {
  host: FileHost;
  pictures: readonly Attachment[];
  at: string;
  onShow: (id: string) => void;
  /** Null: nothing may be added here. */
  onDraw: ((on: Attachment) => void) | null;
  onClose: () => void;
}

/** One picture as large as fits, and the way to those beside it. One that is taken away meanwhile closes. */
export function Viewer({ host, pictures, at, onShow, onDraw, onClose }: ViewerProps) {
  const nth = pictures.findIndex(({ id }) => id === at);
  const picture = pictures[nth];
  useEffect(() => {
    if (!picture) onClose();
  }, [picture, onClose]);
  if (!picture) return null;
  return <Viewing host={host} picture={picture} nth={nth} pictures={pictures} onShow={onShow} onDraw={onDraw} onClose={onClose} />;
}

function Viewing({ host, picture, nth, pictures, onShow, onDraw, onClose }: { picture: Attachment; nth: number } & Omit<ViewerProps, 'at'>) {
  const { rows, house } = useOpenHouse();
  const now = useNow();
  const remove = useRemove(picture, host);
  const along = useGoesAlong(picture);
  const go = (by: number) => {
    const next = pictures[nth + by];
    if (next) onShow(next.id);
  };
  useEffect(() => {
    const walk = ({ key }: KeyboardEvent) => {
      if (key === 'ArrowLeft') go(-1);
      if (key === 'ArrowRight') go(1);
    };
    window.addEventListener('keydown', walk);
    return () => window.removeEventListener('keydown', walk);
  });
  const entries: MenuEntry[] = [{ key: 'download', words: t('files.download'), onPress: () => window.open(downloadOf(picture), '_blank', 'noopener') }];
  if (onDraw) entries.push({ key: 'draw', words: t('files.drawOn'), onPress: () => onDraw(picture) });
  if (along) entries.push(along);
  if (remove) entries.push({ key: 'remove', words: t('files.remove'), late: true, onPress: remove });
  return (
    <Sheet
      open
      leaves
      onClose={onClose}
      title={picture.name}
      closeLabel={t('common.close')}
      head={
        <View className="flex-row items-center gap-2">
          <View className="min-w-0 grow shrink basis-0">
            <Txt face="medium" numberOfLines={1}>
              {picture.name}
            </Txt>
            <Txt size={13} tone="muted">
              {t('files.byWhom', { name: nameOf(rows, picture.authorId), when: sayInstant(picture.at, now, house.zone) })}
            </Txt>
          </View>
          <Menu label={t('files.more', { name: picture.name })} entries={entries} />
        </View>
      }
      foot={
        <View className="flex-row items-center justify-between gap-2">
          {pictures.length > 1 ? <IconButton icon="left" label={t('files.previous')} onPress={() => go(-1)} /> : <View />}
          {createElement(
            'a',
            { href: addressOf(picture, 'large'), target: '_blank', rel: 'noreferrer noopener', className: 'file-link' },
            <Txt size={15} tone="plan">
              {[pictures.length > 1 ? t('files.of', { at: nth + 1, of: pictures.length }) : null, t('files.fullSize')].filter(Boolean).join(' · ')}
            </Txt>,
          )}
          {pictures.length > 1 ? <IconButton icon="right" label={t('files.next')} onPress={() => go(1)} /> : <View />}
        </View>
      }
    >
      <View className="items-center justify-center py-2">
        <Picture
          key={picture.id}
          src={addressOf(picture, 'middle')}
          alt={picture.name}
          fit="whole"
          width={picture.width ?? undefined}
          height={picture.height ?? undefined}
        />
      </View>
    </Sheet>
  );
}
