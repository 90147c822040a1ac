import { createElement, useRef, useState } from 'react';
import { View } from 'react-native';
import { Button, ErrorLine } from '@/ui';
import { t } from '@/words';
import { readGpx, type NamedTrack } from './gpx.ts';

const MOST_BYTES = 5 * 1024 * 1024;

/** A track of one's own: chosen, or dropped here. */
export function TrackFile({ onTrack }: { onTrack: (track: NamedTrack) => void }) {
  const field = useRef<HTMLInputElement>(null);
  const [error, setError] = useState<string | null>(null);
  const take = async (file: File | undefined) => {
    if (!file) return;
    const track = file.size > MOST_BYTES ? null : readGpx(await file.text(), file.name);
    setError(track ? null : t('phones.noTrack', { name: file.name }));
    if (track) onTrack(track);
  };
  return (
    <View className="items-start gap-1">
      {createElement(
        'div',
        {
          onDragOver: (event: React.DragEvent) => event.preventDefault(),
          onDrop: (event: React.DragEvent) => {
            event.preventDefault();
            void take(event.dataTransfer.files[0]);
          },
        },
        <Button onPress={() => field.current?.click()}>{t('phones.file')}</Button>,
      )}
      {createElement('input', {
        ref: field,
        type: 'file',
        accept: '.gpx,application/gpx+xml',
        hidden: true,
        'aria-label': t('phones.file'),
        onChange: (event: React.ChangeEvent<HTMLInputElement>) => void take(event.target.files?.[0]),
      })}
      <ErrorLine says={error} />
    </View>
  );
}
