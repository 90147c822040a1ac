import { stageOf, stagesOf, type Item, type List } from '@kotiva/core';
import { View } from 'react-native';
import { useOpenHouse } from '@/store/store.ts';
import { Txt } from '@/ui';
import { t } from '@/words';

/** How many are in each stage of a list. */
export function StageCounts({ list, items }: { list: List; items: readonly Item[] }) {
  const { rows } = useOpenHouse();
  const stages = stagesOf(list);
  if (stages.length === 0) return null;
  const counts = new Map<string, number>();
  for (const item of items) {
    const stage = stageOf(item, list, rows.by('part', 'itemId', item.id));
    if (stage) counts.set(stage.id, (counts.get(stage.id) ?? 0) + 1);
  }
  return (
    <View role="list" aria-label={t('stages.title')} className="flex-row flex-wrap gap-x-4 gap-y-1 px-4 pt-2">
      {stages.map(({ id, name }) => (
        <View key={id} role="listitem">
          <Txt size={15} tone="muted">
            {t('stages.count', { name, count: counts.get(id) ?? 0 })}
          </Txt>
        </View>
      ))}
    </View>
  );
}
