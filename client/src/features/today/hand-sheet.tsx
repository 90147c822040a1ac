import { useState } from 'react';
import { View } from 'react-native';
import { useWays } from '@/features/item';
import { useDraft } from '@/store/drafts.ts';
import { useSubmit } from '@/store/live-house.tsx';
import { useOpenHouse } from '@/store/store.ts';
import { Button, ErrorLine, Field, Foot, Heading, Sheet } from '@/ui';
import { t } from '@/words';
import { sayReason } from '@/words/problems.ts';
import type { Moved } from './bands.tsx';

/** After dragging from one band to another: a word to go with it, if wanted, and it is handed over. */
export function HandSheet({ moved: { entry, from, to }, onClose }: { moved: Moved; onClose: () => void }) {
  const { me } = useOpenHouse();
  const submit = useSubmit();
  const [error, setError] = useState<string | null>(null);
  const { item, part } = entry;
  const [message, setMessage, sent] = useDraft(`hand-to/${item.id}/${to.id}`, '');
  const title = to.id === me.id ? t('sheet.take', { title: item.title, from: from.name }) : t('sheet.hand', { title: item.title, name: to.name });
  const saying = { words: t('said.handed', { title: item.title, names: to.name }), undo: true, ownRefusal: true };
  const ways = useWays([item.listId], [to.id]);
  const hand = () => {
    if (ways.isOpen) return setError(t('ways.first'));
    const reason =
      part.personId === null
        ? submit('part.handOver', { items: [item.id], persons: [to.id], message }, saying)
        : submit('part.passOn', { item: item.id, from: part.personId, to: to.id, message }, saying);
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
