import { itemsOf, type Item, type Series } from '@kotiva/core';
import { View } from 'react-native';
import { useSubmit } from '@/store/live-house.tsx';
import { useOpenHouse } from '@/store/store.ts';
import { Button } from '@/ui';
import { t } from '@/words';
import { RuleEditor } from './rule-editor.tsx';

/** How an item comes back: set, changed for this and the following, left out once, ended, or taken away. */
export function ChorePanel({ item, onClose }: { item: Item; onClose: () => void }) {
  const { rows } = useOpenHouse();
  const series = item.seriesId === null ? undefined : rows.find('series', item.seriesId);
  return (
    <View className="my-2 gap-4 rounded-sheet bg-ground p-4">
      <RuleEditor of={series ? { item, series, recurrenceId: item.recurrenceId! } : { item, series: null }} onClose={onClose} />
      {series ? <OnlyThis item={item} series={series} onClose={onClose} /> : null}
    </View>
  );
}

/** What concerns this one alone, and the ways out. */
function OnlyThis({ item, series, onClose }: { item: Item; series: Series; onClose: () => void }) {
  const { rows } = useOpenHouse();
  const submit = useSubmit();
  const recurrenceId = item.recurrenceId!;
  const one = { series: series.id, recurrenceId };
  const isLast = itemsOf(series.id, rows).at(-1)?.id === item.id;
  const act = (...[name, payload, words]: Parameters<typeof submit> extends [infer N, infer P, ...unknown[]] ? [N, P, string] : never) => {
    if (!submit(name, payload as never, { words, undo: true })) onClose();
  };
  return (
    <View className="flex-row flex-wrap gap-2 border-t border-line pt-4">
      <Button onPress={() => act('chore.skip', one, t('said.skipped', { title: item.title }))}>{t('rule.skip')}</Button>
      {isLast && series.rrule !== null ? (
        <Button onPress={() => act('chore.ahead', { series: series.id }, t('said.ahead', { title: item.title }))}>{t('rule.ahead')}</Button>
      ) : null}
      <Button onPress={() => act('chore.plain', { item: item.id }, t('said.plain', { title: item.title }))}>{t('rule.plain')}</Button>
      <Button onPress={() => act('chore.end', one, t('said.choreEnded', { title: item.title }))}>{t('rule.noMore')}</Button>
    </View>
  );
}
