import { ItemRow } from '@/features/item';
import { Screen } from '@/features/shell';
import { useAgenda } from '@/store/agenda.ts';
import { Empty } from '@/ui';
import { t } from '@/words';

/** What somebody has put on their shelf: out of every day, until it is taken off again. */
export function ShelfScreen() {
  const onShelf = useAgenda().filter(({ where }) => where === 'shelf');
  return (
    <Screen title={t('shelf.title')} sub={t('more.sub.shelf')}>
      {onShelf.length === 0 ? <Empty words={t('shelf.empty')} /> : null}
      {onShelf.map(({ item }) => (
        <ItemRow key={item.id} item={item} />
      ))}
    </Screen>
  );
}
