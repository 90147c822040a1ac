import { allows, type List } from '@kotiva/core';
import { Screen } from '@/features/shell';
import { useSubmit } from '@/store/live-house.tsx';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { Button, Empty } from '@/ui';
import { t } from '@/words';
import { sayInstant } from '@/words/dates.ts';
import { ListRow } from './list-row.tsx';

/** Lists that were archived, the last first: they open as ever, and come back by one tap. */
export function ArchivedScreen() {
  const { rows, me, house } = useOpenHouse();
  const now = useNow();
  const submit = useSubmit();
  const lists = rows
    .all('list')
    .filter(isArchived)
    .sort((a, b) => (a.filedAt < b.filedAt ? 1 : a.filedAt > b.filedAt ? -1 : a.id < b.id ? -1 : 1));
  return (
    <Screen title={t('archived.title')} sub={t('archived.means')}>
      {lists.length === 0 ? <Empty words={t('archived.empty')} /> : null}
      {lists.map((list) => (
        <ListRow
          key={list.id}
          list={list}
          sub={t('archived.when', { when: sayInstant(list.filedAt, now, house.zone) })}
          trail={
            allows({ permission: 'share', list: list.id }, me, rows) ? (
              <Button
                kind="quiet"
                label={t('removed.bringBack', { title: list.name })}
                onPress={() => void submit('list.file', { list: list.id, filed: false }, { words: t('said.unfiled', { name: list.name }), undo: true })}
              >
                {t('list.unfile')}
              </Button>
            ) : null
          }
        />
      ))}
    </Screen>
  );
}

const isArchived = (list: List): list is List & { filedAt: string } => list.removedAt === null && list.filedAt !== null;
