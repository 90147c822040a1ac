import { calendarOf, endOf, minutesFor, overlapsOf, type Slot, type Item } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useDraft } from '@/store/drafts.ts';
import { useSubmit } from '@/store/live-house.tsx';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { ConfirmRow, ErrorLine, Field, MomentInput, Txt } from '@/ui';
import { t } from '@/words';
import { sayHour } from '@/words/customs.ts';
import { sayReason } from '@/words/problems.ts';

interface SlotFormProps {
  /** The one that is changed; null: a new one. */
  slot: Slot | null;
  itemIds: readonly string[];
  /** The day to begin with. */
  date: string;
  onDone: () => void;
}

const SHORTEST = 5;
const LONGEST = 1_440;
const USUAL_HOUR = '17:00';

/** As long as all of it takes, within a day. */
const usualLength = (items: readonly Item[]): number =>
  Math.min(
    LONGEST,
    Math.max(
      SHORTEST,
      items.reduce((sum, item) => sum + minutesFor(item), 0),
    ),
  );

/** Books time of one's own for an item or several: the day, from when, how long. What else lies in it is said while choosing. */
export function SlotForm({ slot, itemIds, date, onDone }: SlotFormProps) {
  const { rows } = useOpenHouse();
  const submit = useSubmit();
  const items = itemIds.flatMap((id) => {
    const item = rows.find('item', id);
    return item === undefined ? [] : [item];
  });
  const [begin] = useState(() => ({
    day: slot?.start.slice(0, 10) ?? date,
    from: slot?.start.slice(11, 16) ?? USUAL_HOUR,
    length: String(slot?.minutes ?? usualLength(items)),
  }));
  const [{ day, from, length }, change, done] = useDraft(`slot/${slot?.id ?? itemIds.join(' ')}`, begin);
  const set = (some: Partial<typeof begin>) => change((now) => ({ ...now, ...some }));
  const close = () => {
    done();
    onDone();
  };
  const [error, setError] = useState<{ field: 'length' | 'day'; words: string } | null>(null);
  const minutes = /^\d{1,4}$/.test(length.trim()) ? Number(length) : NaN;
  const isLength = minutes >= SHORTEST && minutes <= LONGEST;
  const save = () => {
    if (!day || !from) return setError({ field: 'day', words: t('slot.needsHour') });
    if (!isLength) return setError({ field: 'length', words: t('slot.badLength') });
    const start = `${day}T${from}`;
    const words = { words: t('said.slotBooked', { from: sayHour(from), to: sayHour(endOf({ time: from, minutes })) }), undo: true, ownRefusal: true };
    const reason = slot ? submit('slot.change', { slot: slot.id, start, minutes }, words) : submit('slot.book', { items: [...itemIds], start, minutes }, words);
    if (reason) setError({ field: 'day', words: sayReason(reason) });
    else close();
  };
  return (
    <View className="gap-4 pt-2">
      {items.length > 1 ? <Txt tone="muted">{t('slot.for', { count: items.length })}</Txt> : null}
      <View className="flex-row flex-wrap gap-3">
        <MomentInput label={t('slot.day')} kind="date" value={day} onChange={(next) => set({ day: next })} />
        <MomentInput label={t('slot.from')} kind="time" value={from} onChange={(next) => set({ from: next })} />
        <Field
          label={t('slot.length')}
          value={length}
          onChangeText={(next) => set({ length: next })}
          inputMode="numeric"
          maxLength={4}
          className="w-[110px]"
          error={error?.field === 'length' ? error.words : null}
        />
      </View>
      {error?.field === 'day' ? <ErrorLine says={error.words} /> : null}
      {day && from && isLength ? <Overlaps day={day} time={from} minutes={minutes} itemIds={itemIds} /> : null}
      <ConfirmRow verb={t(slot ? 'slot.save' : 'slot.bookIt')} onConfirm={save} cancel={t('common.cancel')} onCancel={close} />
    </View>
  );
}

function Overlaps({ day, time, minutes, itemIds }: { day: string; time: string; minutes: number; itemIds: readonly string[] }) {
  const { rows, me, house } = useOpenHouse();
  const now = useNow();
  const entries = calendarOf({ meId: me.id, from: day, to: day, personId: me.id, now, house }, rows).get(day) ?? [];
  const overlaps = overlapsOf({ time, minutes, itemIds }, entries, me.id);
  return (
    <Txt size={15} tone={overlaps.length > 0 ? 'waits' : 'muted'} aria-live="polite">
      {[t('slot.until', { time: sayHour(endOf({ time, minutes })) }), ...overlaps.map((one) => t('slot.overlaps', { ...one }))].join(' ')}
    </Txt>
  );
}
