import { epochOf, stretchEnds, wallClockOf, type Stretch } from '@kotiva/core';
import { View } from 'react-native';
import { useSubmit } from '@/store/live-house.tsx';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { Button, Txt } from '@/ui';
import { t } from '@/words';
import { sayHour } from '@/words/customs.ts';
import { useRingAtEnd } from './use-ring-at-end.ts';

/** How much is left of it, on every screen, and the way to end it. */
export function StretchBar({ stretch }: { stretch: Stretch }) {
  const { house } = useOpenHouse();
  const now = useNow();
  const submit = useSubmit();
  useRingAtEnd(stretch);
  const ends = stretchEnds(stretch);
  // `now` is the beginning of this minute
  const left = Math.min(stretch.minutes, Math.max(1, Math.floor((epochOf(ends) - epochOf(now)) / 60_000)));
  const until = sayHour(wallClockOf(ends, house.zone).slice(11, 16));
  return (
    <View role="region" aria-label={t('stretch.title')} className="flex-row flex-wrap items-center gap-x-3 bg-sunk px-4 print:hidden lg:px-7">
      <Txt size={15} face="medium" className="min-w-0 shrink grow">
        {t('stretch.left', { count: left, until })}
      </Txt>
      <Button kind="quiet" onPress={() => submit('stretch.end', {}, { words: t('stretch.ended'), undo: false })}>
        {t('stretch.stop')}
      </Button>
    </View>
  );
}
