import { isAddress, isComing, type Attachment } from '@kotiva/core';
import { createElement } from 'react';
import { View } from 'react-native';
import { useSelector } from 'react-redux';
import { nameOf } from '@/words/people.ts';
import type { Sending } from '@/store/sending.ts';
import { useHouseState, useOpenHouse, type State } from '@/store/store.ts';
import { Band, Icon, Menu, Txt, type MenuEntry } from '@/ui';
import { Picture } from '@/ui/picture.tsx';
import { hasWord, t } from '@/words';
import { sayBytes } from '@/words/sizes.ts';
import { addressOf, downloadOf } from '@/features/files';
import type { FileHost } from './host.ts';
import { useFileSender } from './use-attach.ts';
import { useGoesAlong } from './use-goes-along.ts';
import { useRemove } from './use-remove.ts';

/** One file, address, or something that is still coming: what it is, how far it is, and what can be done with it. */
export function FileRow({ attachment, host }: { attachment: Attachment; host: FileHost }) {
  const { rows } = useOpenHouse();
  const sending = useSelector((state: State) => state.sending[attachment.id]) ?? null;
  const isOffline = useHouseState(({ line }) => line === 'offline');
  const sender = useFileSender();
  const coming = isComing(attachment);
  const preview = coming && sending ? sender.previewOf(attachment.id) : null;
  const href = isAddress(attachment) ? attachment.url! : addressOf(attachment, 'file');
  return (
    <View className="row min-h-14 flex-row items-center gap-3">
      <View className="h-11 w-11 items-center justify-center overflow-hidden rounded-control bg-sunk">
        {preview ? <Picture src={preview} alt="" fit="fill" /> : <Icon name="paperclip" />}
      </View>
      <View className="min-w-0 grow shrink basis-0">
        {coming ? (
          <Txt numberOfLines={1}>{attachment.name}</Txt>
        ) : (
          createElement(
            'a',
            { href, target: '_blank', rel: 'noreferrer noopener', className: 'file-link', 'aria-label': t('files.open', { name: attachment.name }) },
            <Txt numberOfLines={1} tone="plan">
              {attachment.name}
            </Txt>,
          )
        )}
        <Txt size={13} tone={sending?.state === 'failed' ? 'late' : 'muted'} role={sending?.state === 'failed' ? 'alert' : undefined}>
          {coming ? sayComing(attachment, sending, isOffline, nameOf(rows, attachment.authorId)) : sayFile(attachment, nameOf(rows, attachment.authorId))}
        </Txt>
        {sending?.state === 'sending' ? <Band share={sending.sent / sending.size} width={160} height={8} /> : null}
      </View>
      <FileMenu attachment={attachment} sending={sending} host={host} />
    </View>
  );
}

function FileMenu({ attachment, sending, host }: { attachment: Attachment; sending: Sending | null; host: FileHost }) {
  const sender = useFileSender();
  const remove = useRemove(attachment, host);
  const along = useGoesAlong(attachment);
  const entries: MenuEntry[] = [];
  const coming = isComing(attachment);
  if (sending?.state === 'paused' || sending?.state === 'failed')
    entries.push({ key: 'on', words: t(sending.state === 'paused' ? 'files.goOn' : 'files.again'), onPress: () => sender.pause(attachment.id, false) });
  else if (sending) entries.push({ key: 'pause', words: t('files.pause'), onPress: () => sender.pause(attachment.id, true) });
  if (!coming && !isAddress(attachment))
    entries.push({ key: 'download', words: t('files.download'), onPress: () => window.open(downloadOf(attachment), '_blank', 'noopener') });
  if (along) entries.push(along);
  if (remove) entries.push({ key: 'remove', words: t(coming ? 'files.cancel' : 'files.remove'), late: true, onPress: remove });
  return <Menu label={t('files.more', { name: attachment.name })} entries={entries} />;
}

const percentOf = ({ sent, size }: Sending): number => Math.floor((100 * sent) / Math.max(1, size));

function sayComing({ name }: Attachment, sending: Sending | null, isOffline: boolean, by: string): string {
  if (!sending) return t('files.coming', { name: by });
  switch (sending.state) {
    case 'sending':
      return t('files.sending', { percent: percentOf(sending) });
    case 'paused':
      return t('files.paused', { percent: percentOf(sending) });
    case 'waiting':
      return t(isOffline ? 'files.waitingOffline' : 'files.waiting');
    case 'failed':
      return sayFault(name, sending);
  }
}

function sayFault(name: string, { code, params, size }: Sending): string {
  const max = sayBytes(Number(params['max'] ?? 0));
  if (code === 'file-too-large') return t('files.tooLarge', { name, size: sayBytes(size), max });
  if (code === 'storage-full') return t('files.storageFull', { name });
  return code === 'house-full' ? t('files.houseFull', { name, size: sayBytes(size), max }) : t('files.refused');
}

/** "PDF · 8.1 MB · Leila". */
function sayFile({ url, mediaType, size }: Attachment, by: string): string {
  if (url !== null) return [hostOf(url), by].join(' · ');
  return [kindOf(mediaType ?? ''), sayBytes(size ?? 0), by].join(' · ');
}

function kindOf(mediaType: string): string {
  if (mediaType === 'application/pdf') return t('files.kind.pdf');
  const key = `files.kind.${mediaType.split('/')[0]}`;
  return hasWord(key) ? t(key) : t('files.kind.other');
}

const hostOf = (url: string): string => /^https?:\/\/([^/?#]+)/i.exec(url)?.[1] ?? url;
