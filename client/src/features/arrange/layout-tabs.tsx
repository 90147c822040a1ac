import type { Layout } from '@kotiva/core';
import { Pressable, View } from 'react-native';
import type { Arranging } from '@/store/arrangement.ts';
import { Txt } from '@/ui';
import { t } from '@/words';
import { useLayout } from './use-layout.ts';

/** The ways to lay out a view's items, one beside the other where there is room. */
export function LayoutTabs({ view, usual, layouts }: { view: string; usual?: Partial<Arranging>; layouts: readonly Layout[] }) {
  const { layout, setLayout } = useLayout(view, usual);
  return (
    <View role="radiogroup" aria-label={t('arrange.layout')} className="flex-row gap-5 px-2">
      {layouts.map((one) => (
        <Pressable
          key={one}
          role="radio"
          aria-checked={one === layout}
          onPress={() => setLayout(one)}
          className={`min-h-11 justify-center border-b-2 ${one === layout ? 'border-pine' : 'border-transparent'}`}
        >
          <Txt size={15} face={one === layout ? 'bold' : 'read'} tone={one === layout ? 'ink' : 'muted'}>
            {t(`layout.${one}`)}
          </Txt>
        </Pressable>
      ))}
    </View>
  );
}
