import { useRouter } from 'expo-router';
import { Screen } from '@/features/shell';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { Empty, Row } from '@/ui';
import { t } from '@/words';
import { sayMoment } from '@/words/dates.ts';
import { sayRule } from '@/words/rules.ts';
import { sayWhose } from './say-whose.ts';
import { useGoingOn } from './use-chores.ts';

/** Everything that comes back, by when it comes next. */
export function ChoresScreen() {
  const { rows, house } = useOpenHouse();
  const now = useNow();
  const router = useRouter();
  const chores = useGoingOn();
  return (
    <Screen title={t('chores.title')} sub={t('chores.count', { count: chores.length })}>
      {chores.length === 0 ? <Empty words={t('chores.nothing')} /> : null}
      {chores.map(({ series, next }) => (
        <Row
          key={series.id}
          title={series.title}
          sub={[sayRule(series), sayWhose(series, rows)].filter(Boolean).join(' · ')}
          wraps
          right={next ? sayMoment(next, now, house.zone) : t('chores.waits')}
          onPress={() => router.push(`/chores/${series.id}`)}
        />
      ))}
    </Screen>
  );
}
