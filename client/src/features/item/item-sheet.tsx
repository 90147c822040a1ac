import { useOpenHouseOrNull } from '@/store/store.ts';
import { Sheet, Txt } from '@/ui';
import { t } from '@/words';
import { OpenItem } from './fetched.ts';
import { useOpenedItem, useOpenItem } from './open-item.ts';

/** The sheet of whichever item the address names. */
export function ItemSheet() {
  const opened = useOpenedItem();
  const open = useOpenItem();
  const place = useOpenHouseOrNull();
  const item = opened.id && place ? place.rows.get('item', opened.id) : null;
  if (!item) return null;
  if (typeof item === 'string') {
    return (
      <Sheet open onClose={() => open(null)} title={t('item.gone')} closeLabel={t('common.close')}>
        <Txt className="py-6">{t('item.goneWhy')}</Txt>
      </Sheet>
    );
  }
  return <OpenItem key={item.id} item={item} at={opened.at} onClose={() => open(null)} />;
}
