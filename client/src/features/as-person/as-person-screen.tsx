import { type Reader, type Person } from '@kotiva/core';
import { seenBy, type SeenBy } from '@kotiva/core/views/seen-by';
import { useMemo } from 'react';
import { View } from 'react-native';
import { Screen } from '@/features/shell';
import { useHouseState, useOpenHouse } from '@/store/store.ts';
import { Empty, Fold, GroupHead, LongRows, Txt } from '@/ui';
import { t } from '@/words';
import { sayProblem } from '@/words/problems.ts';
import { SeenItemRow } from './seen-item-row.tsx';
import { useBothSeen } from './use-both-seen.ts';

/** What somebody has before them, for a manager: only to look at, and only what the manager may see too. */
export function AsPersonScreen({ personId }: { personId: string }) {
  const { rows, house } = useOpenHouse();
  const { seen, again } = useBothSeen(house.id, personId);
  const isOffline = useHouseState(({ line }) => line === 'offline');
  const person = rows.find('person', personId);
  const title = person === undefined ? t('person.gone') : t('seen.title', { name: person.name });
  if (person === undefined) return <Says title={title} words={t('person.goneWhy')} />;
  if (seen === null) return <Says title={title} words={t(isOffline ? 'seen.offline' : 'seen.coming')} />;
  if ('problem' in seen)
    return <Says title={title} words={sayProblem(seen.problem)} onAgain={seen.problem.status === 0 || seen.problem.status >= 500 ? again : undefined} />;
  return (
    <Screen title={title} sub={t(`role.${person.role}`)}>
      <View role="note" className="border-b border-line bg-sunk px-4 py-3">
        <Txt size={15}>{t('seen.readOnly', { name: person.name })}</Txt>
        <Txt size={15} tone="muted">
          {t('seen.without', { name: person.name })}
        </Txt>
      </View>
      <Seen rows={seen.rows} person={person} />
      {seen.more ? <Empty words={t('seen.more')} /> : null}
    </Screen>
  );
}

/** What stands in the way, and the way on where there is one. */
function Says({ title, words, onAgain }: { title: string; words: string; onAgain?: () => void }) {
  return (
    <Screen title={title}>
      <Empty words={words} action={onAgain ? t('common.tryAgain') : undefined} onAction={onAgain} />
    </Screen>
  );
}

function Seen({ rows, person }: { rows: Reader; person: Person }) {
  const { lists, others } = useMemo((): SeenBy => seenBy(person, rows), [person, rows]);
  if (lists.length + others.length === 0) return <Empty words={t('seen.nothing', { name: person.name })} />;
  const items = (some: SeenBy['others']) => (
    <LongRows rows={some} keyOf={({ item }) => item.id}>
      {(one) => <SeenItemRow seen={one} rows={rows} person={person} />}
    </LongRows>
  );
  return (
    <>
      {others.length > 0 ? <GroupHead title={t('seen.others')} count={others.length} sub={t('seen.othersMeans', { name: person.name })} /> : null}
      {items(others)}
      {lists.length > 0 ? <GroupHead title={t('nav.lists')} count={lists.length} /> : null}
      {lists.map(({ list, relation, items: some }) => (
        <Fold
          key={list.id}
          words={t('seen.list', {
            list: list.name,
            access: t(relation === 'owner' ? 'seen.owner' : `access.${relation}`),
            items: t('seen.open', { count: some.length }),
          })}
        >
          {some.length === 0 ? <Empty words={t('seen.empty')} /> : items(some)}
        </Fold>
      ))}
    </>
  );
}
