import type { Item } from '@kotiva/core';
import { View } from 'react-native';
import { PlaceList } from '@/features/item';
import { useOpenHouse } from '@/store/store.ts';
import { Button, Heading, Sheet, Txt } from '@/ui';
import { t } from '@/words';

interface WhereToProps {
  item: Item;
  /** `list` null: one's own pile. */
  onChoose: (list: string | null, section: string | null) => void;
  onClose: () => void;
}

/** What lay in a list that is gone needs another place before it comes back. */
export function WhereToSheet({ item, onChoose, onClose }: WhereToProps) {
  const { rows } = useOpenHouse();
  const list = item.listId ? rows.find('list', item.listId) : undefined;
  const title = t('removed.where', { title: item.title });
  return (
    <Sheet open onClose={onClose} title={title} closeLabel={t('common.close')} head={<Heading level={2}>{title}</Heading>}>
      <View className="gap-2 pt-2">
        {list === undefined ? null : <Txt tone="muted">{t('removed.listGone', { list: list.name })}</Txt>}
        <View className="items-start">
          <Button onPress={() => onChoose(null, null)}>{t('removed.intoPile')}</Button>
        </View>
        <PlaceList here={null} onChoose={onChoose} onClose={onClose} />
      </View>
    </Sheet>
  );
}
