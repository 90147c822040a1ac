import type { Item, Person } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useDraft } from '@/store/drafts.ts';
import { useSubmit } from '@/store/live-house.tsx';
import { useOpenHouse } from '@/store/store.ts';
import { Button, ErrorLine, Field, Foot, Heading, Sheet } from '@/ui';
import { t } from '@/words';
import { sayReason } from '@/words/problems.ts';
import { useWays } from './ways.tsx';

interface HandToProps {
  item: Item;
  /** Who has it; null: nobody yet. */
  from: Person | null;
  to: Person;
  onClose: () => void;
}

/** After dragging to somebody: a word to go with it, if wanted, and it is handed over. */
export function HandToSheet({ item, from, to, onClose }: HandToProps) {
  const { me } = useOpenHouse();
  const submit = useSubmit();
  const [error, setError] = useState<string | null>(null);
  const [message, setMessage, sent] = useDraft(`hand-to/${item.id}/${to.id}`, '');
  const title = to.id === me.id && from ? t('sheet.take', { title: item.title, from: from.name }) : t('sheet.hand', { title: item.title, name: to.name });
  const saying = { words: t('said.handed', { title: item.title, names: to.name }), undo: true, ownRefusal: true };
  const ways = useWays([item.listId], [to.id]);
  const hand = () => {
    if (ways.isOpen) return setError(t('ways.first'));
    const reason =
      from === null
        ? submit('part.handOver', { items: [item.id], persons: [to.id], message }, saying)
        : submit('part.passOn', { item: item.id, from: from.id, to: to.id, message }, saying);
    if (reason) return setError(sayReason(reason));
    ways.settle();
    sent();
    onClose();
  };
  return (
    <Sheet open onClose={onClose} title={title} closeLabel={t('common.close')} head={<Heading level={2}>{title}</Heading>}>
      <View className="gap-4 pt-2">
        <Field label={t('sheet.message')} value={message} onChangeText={setMessage} onSubmitEditing={hand} maxLength={20_000} autoFocus />
        {ways.asks}
        <ErrorLine says={error} />
        <Foot>
          <View className="flex-row gap-2">
            <Button kind="main" onPress={hand}>
              {t('hand.over')}
            </Button>
            <Button onPress={() => (sent(), onClose())}>{t('common.cancel')}</Button>
          </View>
        </Foot>
      </View>
    </Sheet>
  );
}
