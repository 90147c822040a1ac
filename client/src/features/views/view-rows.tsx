import { byPosition } from '@kotiva/core';
import { readFilter } from '@kotiva/core/filtering';
import { useRouter } from 'expo-router';
import { useFiltering } from '@/features/narrow';
import { useOpenHouse } from '@/store/store.ts';
import { GroupHead, Icon, Row } from '@/ui';
import { t } from '@/words';
import { sayFilter } from '@/words/filters.ts';

/** The views one has, each with how many items meet it now. */
export function ViewRows() {
  const { rows } = useOpenHouse();
  const router = useRouter();
  const filtering = useFiltering();
  const views = rows
    .all('savedView')
    .filter(({ removedAt }) => removedAt === null)
    .sort(byPosition);
  if (views.length === 0) return null;
  return (
    <>
      <GroupHead title={t('view.title')} count={views.length} />
      {views.map(({ id, name, filter: kept, isShared }) => {
        const { filter } = readFilter(kept);
        return (
          <Row
            key={id}
            lead={<Icon name="filter" size={22} />}
            title={name}
            sub={[isShared ? t('view.ofHouse') : null, sayFilter(filter, rows)].filter(Boolean).join(' · ')}
            right={String(filtering(filter).length)}
            rightTone="muted"
            onPress={() => router.push(`/views/${id}`)}
          />
        );
      })}
    </>
  );
}
