import type { Colour } from '@kotiva/core';
import { View } from 'react-native';
import { Band, Txt, useWide } from '@/ui';
import { t } from '@/words';

export interface Bar {
  key: string;
  label: string;
  count: number;
  /** Beside the count. */
  more?: string;
  colour?: Colour;
  lead?: React.ReactNode;
}

/** How many of each, as woven strips against the most there is, with the figures beside them. */
export function Bars({ bars, label }: { bars: readonly Bar[]; label: string }) {
  const wide = useWide();
  const most = Math.max(1, ...bars.map(({ count }) => count));
  return (
    <View role="list" aria-label={label} className="max-w-[560px] px-4 pb-2">
      {bars.map(({ key, label: name, count, more, colour, lead }) => (
        <View
          key={key}
          role="listitem"
          aria-label={[t('back.bars', { label: name, count }), more].filter(Boolean).join(', ')}
          className="min-h-11 flex-row flex-wrap items-center gap-x-3 py-0.5"
        >
          {lead}
          <View className="min-w-[6.5rem] grow shrink basis-0">
            <Txt size={15}>{name}</Txt>
            {more ? (
              <Txt size={13} tone="muted">
                {more}
              </Txt>
            ) : null}
          </View>
          <Band share={count / most} width={wide ? 220 : 110} colour={colour} />
          <Txt size={15} face="medium" className="w-9 text-right">
            {count}
          </Txt>
        </View>
      ))}
    </View>
  );
}
