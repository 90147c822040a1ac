import { calendarDateOf } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useDraft } from '@/store/drafts.ts';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { ConfirmRow, Field } from '@/ui';
import { t } from '@/words';
import { PeoplePicker } from './people-picker.tsx';
import { useWays } from './ways.tsx';

/** To whom, with a word if wanted. */
export function ToPerson({ items, onHand, onClose }: { items: readonly string[]; onHand: (persons: string[], message: string) => void; onClose: () => void }) {
  const { rows, house } = useOpenHouse();
  const [chosen, setChosen] = useState<string[]>([]);
  const [message, setMessage, sent] = useDraft(`hand-many/${[...items].sort()[0] ?? ''}`, '');
  const lists = items.map((id) => rows.find('item', id)).map((item) => item?.listId ?? null);
  const ways = useWays(lists, chosen);
  return (
    <View className="my-2 gap-3 rounded-sheet bg-ground p-4">
      <PeoplePicker
        label={t('hand.whom')}
        chosen={chosen}
        groups={{ day: calendarDateOf(useNow(), house.zone), onChoose: (ids) => setChosen([...new Set([...chosen, ...ids])]) }}
        onToggle={(id) => setChosen(chosen.includes(id) ? chosen.filter((other) => other !== id) : [...chosen, id])}
      />
      {ways.asks}
      <Field label={t('hand.message')} value={message} onChangeText={setMessage} maxLength={20_000} />
      <ConfirmRow
        verb={t('hand.over')}
        onConfirm={() => {
          onHand(chosen, message);
          sent();
          ways.settle();
        }}
        disabled={chosen.length === 0 || ways.isOpen}
        cancel={t('common.cancel')}
        onCancel={() => (sent(), onClose())}
      />
    </View>
  );
}
