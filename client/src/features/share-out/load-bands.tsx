import { carriedBy, type WeekToShare } from '@kotiva/core/planning/week-to-share';
import { View } from 'react-native';
import { personOf } from '@/features/item';
import { useOpenHouse } from '@/store/store.ts';
import { Band, PersonMark, Txt } from '@/ui';
import { t } from '@/words';
import { sayHours } from '@/words/amounts.ts';

/** Of each who carries, the week's load as it is above the load as it would be. */
export function LoadBands({ week, after }: { week: WeekToShare; after: ReadonlyMap<string, string> }) {
  const before = new Map(week.loads.flatMap(({ id, turn }): [string, string][] => (turn === null ? [] : [[id, turn]])));
  return (
    <View className="gap-3 px-4 pb-2 lg:flex-row lg:flex-wrap">
      {week.carriers.map((carrier) => (
        <PersonBands
          key={carrier.id}
          personId={carrier.id}
          capacity={carrier.capacity}
          before={carriedBy(carrier.id, week, before)}
          after={carriedBy(carrier.id, week, after)}
        />
      ))}
    </View>
  );
}

function PersonBands({ personId, capacity, before, after }: { personId: string; capacity: number; before: number; after: number }) {
  const { rows } = useOpenHouse();
  const person = personOf(rows, personId);
  if (!person) return null;
  const figures = { before: sayHours(before * capacity), after: sayHours(after * capacity), capacity: sayHours(capacity) };
  return (
    <View className="flex-row items-center gap-3 lg:w-[360px]">
      <PersonMark looks={person} size={36} />
      <View className="min-w-0 grow">
        <Txt face="medium" numberOfLines={1}>
          {person.name}
        </Txt>
        <Txt size={15} tone={after > 1 ? 'waits' : 'muted'}>
          {t('shareOut.load', figures)}
        </Txt>
      </View>
      <View className="gap-1">
        <Band share={before} width={120} height={8} label={`${t('shareOut.before')} ${figures.before}`} />
        <Band share={after} width={120} height={12} colour={person.colour} label={`${t('shareOut.after')} ${figures.after}`} />
      </View>
    </View>
  );
}
