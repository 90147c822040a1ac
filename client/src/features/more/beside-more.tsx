import { ScrollView, View } from 'react-native';
import { useWide } from '@/ui';
import { t } from '@/words';
import { MoreList } from './more-list.tsx';

/** On a wide screen the places of More stand beside the page that is open; on a phone the page alone. */
export function BesideMore({ children }: { children: React.ReactNode }) {
  const wide = useWide();
  if (!wide) return children;
  return (
    <View className="h-full flex-row">
      <ScrollView role="complementary" aria-label={t('nav.more')} className="h-full w-[260px] shrink-0 grow-0 border-r border-line bg-ground">
        <MoreList isNarrow />
      </ScrollView>
      <View className="h-full min-w-0 grow shrink basis-0">{children}</View>
    </View>
  );
}
