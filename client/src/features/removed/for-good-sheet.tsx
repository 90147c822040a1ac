import { withBelow, type Item } from '@kotiva/core';
import { View } from 'react-native';
import { useGiveAll } from '@/features/item';
import { useOpenHouse } from '@/store/store.ts';
import { ConfirmRow, Heading, Sheet, Txt } from '@/ui';
import { t } from '@/words';

/** So many go in one command. */
const AT_ONCE = 200;

/** Asks once, with how many, before removed items are gone for good. */
export function ForGoodSheet({ items, onClose }: { items: readonly Item[]; onClose: () => void }) {
  const { rows } = useOpenHouse();
  const giveAll = useGiveAll();
  const ids = items.map(({ id }) => id);
  const all = new Set<string>();
  for (const id of ids) withBelow(id, rows, all);
  const steps = all.size - ids.length;
  const title = items.length === 1 ? t('removed.asksForGoodOne', { title: items[0]!.title }) : t('removed.asksForGood', { count: items.length });
  const go = () => {
    giveAll('item.purgeRemoved', ids, (some) => ({ items: some }), t('said.goneForGood', { count: ids.length }), AT_ONCE);
    onClose();
  };
  return (
    <Sheet open onClose={onClose} title={title} closeLabel={t('common.close')} head={<Heading level={2}>{title}</Heading>}>
      <View className="gap-3 pt-2">
        {steps > 0 ? <Txt>{t('removed.withSteps', { count: steps })}</Txt> : null}
        <Txt>{t('removed.final')}</Txt>
        <ConfirmRow verb={t('removed.forGood')} onConfirm={go} cancel={t('common.cancel')} onCancel={onClose} />
      </View>
    </Sheet>
  );
}
