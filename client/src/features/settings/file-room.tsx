import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { ask } from '@/store/api.ts';
import { useOpenHouse } from '@/store/store.ts';
import { Band, GroupHead, Txt } from '@/ui';
import { t } from '@/words';
import { sayBytes } from '@/words/sizes.ts';

/** How much room the house has for files, and how much of it is taken; nothing without a line. */
export function FileRoom() {
  const { house } = useOpenHouse();
  const [room, setRoom] = useState<{ used: number; file: number; house: number } | null>(null);
  useEffect(() => {
    let isOver = false;
    ask<{ used: number; file: number; house: number }>('GET', `/houses/${house.id}/files`)
      .then((answer) => {
        if (answer.ok && !isOver) setRoom(answer.value);
      })
      .catch(() => undefined);
    return () => {
      isOver = true;
    };
  }, [house.id]);
  if (!room) return null;
  return (
    <View>
      <GroupHead title={t('fileRoom.title')} />
      <View className="gap-2 px-4 pb-4">
        <Txt>{t('fileRoom.used', { used: sayBytes(room.used), of: sayBytes(room.house) })}</Txt>
        <Band share={room.used / room.house} width={240} />
        <Txt size={15} tone="muted">
          {t('fileRoom.each', { max: sayBytes(room.file) })}
        </Txt>
      </View>
    </View>
  );
}
