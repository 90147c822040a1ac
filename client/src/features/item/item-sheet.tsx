import { useRouter } from 'expo-router';
import { memo } from 'react';
import { View } from 'react-native';
import { useOpenHouseOrNull } from '@/store/store.ts';
import { BeyondLine } from '@/features/beyond';
import { useBeyond } from '@/store/use-beyond.ts';
import { Sheet, Txt, useWide } from '@/ui';
import { t } from '@/words';
import { OpenItem } from './fetched.ts';
import { useItemSize } from './item-size.ts';
import { useItemSteps, useOpenedItem, useOpenItem } from './open-item.ts';

/** The item of that id, fetched where it is of long ago; or why it isn't there. */
function useItem(id: string | null) {
  const place = useOpenHouseOrNull();
  const held = id && place ? place.rows.find('item', id) : null;
  // one of long ago is not on the device, or not with all that happened to it
  const isBare = held !== null && (held === undefined || place!.rows.by('activity', 'itemId', held.id).length === 0);
  const reached = useBeyond(id && isBare ? { item: id } : null);
  return { held, reached };
}

/** The sheet of whichever item the address names. */
export const ItemSheet = memo(function ItemSheet() {
  const opened = useOpenedItem();
  const open = useOpenItem();
  useItemSteps(opened.id);
  const isBeside = useIsBeside();
  const { held, reached } = useItem(isBeside ? null : opened.id);
  if (held === null) return null;
  if (held === undefined) {
    const isOnItsWay = reached !== 'here';
    return (
      <Sheet open hasAddress onClose={() => open(null)} title={t(isOnItsWay ? 'item.older' : 'item.gone')} closeLabel={t('common.close')}>
        {isOnItsWay ? <BeyondLine reached={reached} /> : <Txt className="py-6">{t('item.goneWhy')}</Txt>}
      </Sheet>
    );
  }
  return <OpenItem key={held.id} item={held} at={opened.at} onClose={() => open(null)} />;
});

/** Whoever likes it so has the item beside the page, where there is room. */
const useIsBeside = (): boolean => [useItemSize() === 'beside', useWide()].every(Boolean);

/** The same beside the page. */
export const ItemBeside = memo(function ItemBeside() {
  const opened = useOpenedItem();
  const open = useOpenItem();
  const isBeside = useIsBeside();
  const { held, reached } = useItem(isBeside ? opened.id : null);
  if (held === null) return null;
  return (
    <View className="w-[440px] border-l border-line print:hidden">
      {held === undefined ? <NotHere reached={reached} /> : <OpenItem key={held.id} frame="beside" item={held} at={opened.at} onClose={() => open(null)} />}
    </View>
  );
});

/** The same as a page of its own, with its own address. */
export function ItemPage({ id, at }: { id: string; at: ReturnType<typeof useOpenedItem>['at'] }) {
  const router = useRouter();
  const { held, reached } = useItem(id);
  if (held === null) return null;
  if (held === undefined) return <NotHere reached={reached} />;
  return <OpenItem key={held.id} frame="page" item={held} at={at} onClose={() => (router.canGoBack() ? router.back() : router.replace('/'))} />;
}

function NotHere({ reached }: { reached: ReturnType<typeof useBeyond> }) {
  return <View className="p-6">{reached === 'here' ? <Txt>{t('item.goneWhy')}</Txt> : <BeyondLine reached={reached} />}</View>;
}
