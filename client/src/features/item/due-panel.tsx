import { useState } from 'react';
import { View } from 'react-native';
import { useNow, usePlace } from '@/store/store.ts';
import { Button, Choice, MomentInput, Txt } from '@/ui';
import { t } from '@/words';
import { sayExactly, usualMoments } from '@/words/dates.ts';

/** Chooses a deadline: a usual moment, or any day, with an hour or without. */
export function DueChoice({ due, onChange }: { due: string | null; onChange: (due: string | null) => void }) {
  const { house } = usePlace();
  const now = useNow();
  const date = due?.slice(0, 10) ?? '';
  const time = due?.slice(11, 16) ?? '';
  const set = (day: string, hour: string) => onChange(day ? (hour ? `${day}T${hour}` : day) : null);
  return (
    <View className="gap-3">
      <Choice
        label={t('due.usual')}
        value={usualMoments(now, house.zone).find((usual) => usual.moment === date)?.moment ?? null}
        options={usualMoments(now, house.zone).map(({ moment, words }) => ({ value: moment, words }))}
        onChange={(day) => set(day, time)}
      />
      <View className="flex-row flex-wrap gap-3">
        <MomentInput label={t('due.day')} kind="date" value={date} onChange={(day) => set(day, time)} />
        <MomentInput label={t('due.hour')} kind="time" value={time} onChange={(hour) => set(date || usualMoments(now, house.zone)[0]!.moment, hour)} />
      </View>
      {due ? (
        <Txt size={15} tone="muted">
          {t('due.exactly', { when: sayExactly(due) })}
        </Txt>
      ) : null}
    </View>
  );
}

/** The same on the item's sheet, with its own buttons. */
export function DuePanel({ due, onSave, onClose }: { due: string | null; onSave: (due: string | null) => void; onClose: () => void }) {
  const [chosen, setChosen] = useState(due);
  return (
    <View className="my-2 gap-3 rounded-sheet bg-ground p-4">
      <DueChoice due={chosen} onChange={setChosen} />
      <View className="flex-row flex-wrap gap-2">
        <Button kind="main" onPress={() => onSave(chosen)}>
          {t('due.set')}
        </Button>
        {due ? <Button onPress={() => onSave(null)}>{t('due.none')}</Button> : null}
        <Button kind="quiet" onPress={onClose}>
          {t('common.cancel')}
        </Button>
      </View>
    </View>
  );
}
