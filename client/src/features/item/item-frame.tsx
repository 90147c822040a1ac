import type { Item } from '@kotiva/core';
import { useEffect, useRef } from 'react';
import { ScrollView, View } from 'react-native';
import { IconButton, Sheet, useSheetFoot } from '@/ui';
import { inPage } from '@/ui/in-page.ts';
import { t } from '@/words';

/** What an item stands in; the same in each. */
export type Frame = 'sheet' | 'beside' | 'page';

interface FrameProps {
  item: Item;
  onClose: () => void;
  head: React.ReactNode;
  foot: React.ReactNode;
  children: React.ReactNode;
}

export function ItemFrame({ frame, ...props }: FrameProps & { frame: Frame }) {
  if (frame !== 'sheet') return <Pane {...props} isPage={frame === 'page'} />;
  const { item, onClose, head, foot, children } = props;
  return (
    <Sheet open hasAddress onClose={onClose} title={item.title} closeLabel={t('common.close')} leaves head={head} foot={foot}>
      {children}
    </Sheet>
  );
}

/** Beside the list, or all of the page: what is around it stays in reach. */
function Pane({ item, onClose, head, foot, children, isPage }: FrameProps & { isPage: boolean }) {
  const { foot: panels, hold, Provider } = useSheetFoot();
  const pane = useRef<View>(null);
  useEffect(() => {
    const element = inPage(pane);
    element?.focus({ preventScroll: true });
    const close = (event: KeyboardEvent) => {
      // what lies above it, a menu or a picture, closes first
      if (event.key === 'Escape' && !event.defaultPrevented && element?.contains(document.activeElement)) onClose();
    };
    document.addEventListener('keydown', close);
    return () => document.removeEventListener('keydown', close);
  }, [item.id, onClose]);
  const width = isPage ? 'w-full max-w-[960px] self-center' : 'w-full';
  return (
    <View ref={pane} role={isPage ? undefined : 'complementary'} aria-label={item.title} tabIndex={-1} className="h-full min-h-0 bg-surface outline-none">
      <View className="pl-5 pr-2 pt-1">
        <View className={`flex-row items-center gap-2 ${width}`}>
          <View className="min-w-0 grow shrink">{head}</View>
          <IconButton icon="close" label={t('common.close')} onPress={onClose} />
        </View>
      </View>
      <ScrollView className="min-h-0 shrink grow" contentContainerClassName="px-5 pb-5">
        <View className={width}>
          <Provider value={panels}>{children}</Provider>
        </View>
      </ScrollView>
      <View className={foot || panels.open.length > 0 ? 'border-t border-line px-5 pb-5 pt-3' : ''}>
        <View className={width}>
          {panels.open.length > 0 ? null : foot}
          <View ref={hold as never} />
        </View>
      </View>
    </View>
  );
}
