import { useOpenHouseOrNull } from '@/store/store.ts';
import { BeyondLine } from '@/features/beyond';
import { useBeyond } from '@/store/use-beyond.ts';
import { Sheet, Txt } from '@/ui';
import { t } from '@/words';
import { OpenItem } from './fetched.ts';
import { useItemSteps, useOpenedItem, useOpenItem } from './open-item.ts';

/** The sheet of whichever item the address names. */
export function ItemSheet() {
  const opened = useOpenedItem();
  const open = useOpenItem();
  useItemSteps(opened.id);
  const place = useOpenHouseOrNull();
  const item = opened.id && place ? place.rows.get('item', opened.id) : null;
  // one of long ago is not on the device, or not with all that happened to it
  const isBare = item !== null && (typeof item === 'string' || place!.rows.by('activity', 'itemId', item.id).length === 0);
  const reached = useBeyond(opened.id && isBare ? { item: opened.id } : null);
  if (!item) return null;
  if (typeof item === 'string' && reached !== 'here') {
    return (
      <Sheet open hasAddress onClose={() => open(null)} title={t('item.older')} closeLabel={t('common.close')}>
        <BeyondLine reached={reached} />
      </Sheet>
    );
  }
  if (typeof item === 'string') {
    return (
      <Sheet open hasAddress onClose={() => open(null)} title={t('item.gone')} closeLabel={t('common.close')}>
        <Txt className="py-6">{t('item.goneWhy')}</Txt>
      </Sheet>
    );
  }
  return <OpenItem key={item.id} item={item} at={opened.at} onClose={() => open(null)} />;
}
