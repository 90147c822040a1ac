import { shiftedRule } from '@kotiva/core';
import { View } from 'react-native';
import { Lost, previewOf } from '@/features/rule';
import { useSubmit } from '@/store/live-house.tsx';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { Button, Heading, Sheet, Txt } from '@/ui';
import { t } from '@/words';
import { sayMoment } from '@/words/dates.ts';
import type { One } from './one.ts';

/** One is put on another day: only this one, or all that follow too; what could not be kept of those is said. */
export function WhichOnes({ one, to, onDone }: { one: One; to: string; onDone: () => void }) {
  const { rows, house } = useOpenHouse();
  const now = useNow();
  const submit = useSubmit();
  const { series, recurrenceId, at } = one;
  const title = series.title;
  const when = sayMoment(to, now, house.zone);
  const rrule = series.rrule === null ? null : shiftedRule(series.rrule, at, to);
  // what comes so long after it was done has no day of its own that others could follow
  const following = series.rrule !== null && rrule !== null;
  const preview = following ? previewOf({ rrule, afterDone: null, dtstart: to }, { series, from: recurrenceId }, rows, house) : null;
  const only = () => {
    submit('chore.move', { series: series.id, recurrenceId, at: to }, { words: t('said.choreMoved', { title, when }), undo: true });
    onDone();
  };
  const all = () => {
    submit('chore.change', { series: series.id, from: recurrenceId, rrule: rrule!, dtstart: to }, { words: t('said.choreChanged', { title }), undo: true });
    onDone();
  };
  return (
    <Sheet open onClose={onDone} title={title} closeLabel={t('common.close')} head={<Heading level={2}>{title}</Heading>}>
      <View className="gap-4 pt-2">
        <Txt>{t('calendar.which', { from: sayMoment(at, now, house.zone), to: when })}</Txt>
        <Button kind="main" onPress={only}>
          {t('calendar.onlyThis')}
        </Button>
        {following ? <Button onPress={all}>{t('calendar.thisAndFollowing')}</Button> : <Txt tone="muted">{t('calendar.notPlainly')}</Txt>}
        {preview && 'lost' in preview ? <Lost of={preview.lost} /> : null}
        <Button kind="quiet" onPress={onDone}>
          {t('common.cancel')}
        </Button>
      </View>
    </Sheet>
  );
}
