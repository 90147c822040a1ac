import { arrangementId, byPosition } from '@kotiva/core';
import { NO_FILTER, readFilter } from '@kotiva/core/filtering';
import { useRouter } from 'expo-router';
import { useFiltering } from '@/features/narrow';
import { useSubmit } from '@/store/live-house.tsx';
import { useOpenHouse } from '@/store/store.ts';
import { Fold, GroupHead, Icon, Menu, Row, type IconName } from '@/ui';
import { t } from '@/words';
import { sayFilter } from '@/words/filters.ts';

interface ViewRowProps {
  /** What remembers how it is arranged: `whole`, or its id. */
  view: string;
  name: string;
  sub: string;
  count: string;
  icon: IconName;
  path: string;
  isHidden: boolean;
}

/** Everything, and the views one has, each with how many items meet it now. What one doesn’t want among the lists is folded away. */
export function ViewRows() {
  const everything = useEverything();
  const kept = useKeptViews();
  const shown = kept.filter(({ isHidden }) => !isHidden);
  const hidden = [...everything, ...kept].filter(({ isHidden }) => isHidden);
  return (
    <>
      {everything.map((view) => (view.isHidden ? null : <ViewRow key={view.view} {...view} />))}
      {shown.length > 0 ? <GroupHead title={t('view.title')} count={shown.length} /> : null}
      {shown.map((view) => (
        <ViewRow key={view.view} {...view} />
      ))}
      {hidden.length > 0 ? (
        <Fold words={t('view.hidden', { count: hidden.length })}>
          {hidden.map((view) => (
            <ViewRow key={view.view} {...view} />
          ))}
        </Fold>
      ) : null}
    </>
  );
}

function useIsHidden(): (view: string) => boolean {
  const { rows, me } = useOpenHouse();
  return (view) => {
    const arranged = rows.find('arrangement', arrangementId(view, me.id));
    return arranged !== undefined && arranged.isHidden;
  };
}

/** The whole picture across all lists and people, where there is anything. */
function useEverything(): ViewRowProps[] {
  const isHidden = useIsHidden();
  const count = useFiltering()(NO_FILTER).length;
  if (count === 0) return [];
  const name = t('whole.title');
  return [{ view: 'whole', name, sub: t('whole.what'), count: t('whole.count', { count }), icon: 'lines', path: '/whole', isHidden: isHidden('whole') }];
}

function useKeptViews(): ViewRowProps[] {
  const { rows } = useOpenHouse();
  const filtering = useFiltering();
  const isHidden = useIsHidden();
  return rows
    .all('savedView')
    .filter(({ removedAt }) => removedAt === null)
    .sort(byPosition)
    .map(({ id, name, filter: kept, isShared }) => {
      const { filter } = readFilter(kept);
      const sub = [isShared ? t('view.ofHouse') : null, sayFilter(filter, rows)].filter(Boolean).join(' · ');
      return { view: id, name, sub, count: String(filtering(filter).length), icon: 'filter', path: `/views/${id}`, isHidden: isHidden(id) };
    });
}

function ViewRow({ view, name, sub, count, icon, path, isHidden }: ViewRowProps) {
  const router = useRouter();
  const submit = useSubmit();
  const hide = () => void submit('view.arrange', { view, isHidden: !isHidden }, { words: t(isHidden ? 'said.viewShown' : 'said.viewHidden', { name }) });
  return (
    <Row
      lead={<Icon name={icon} size={22} />}
      title={name}
      sub={sub}
      right={count}
      rightTone="muted"
      onPress={() => router.push(path as '/')}
      trail={<Menu label={t('view.more', { name })} entries={[{ key: 'hide', words: t(isHidden ? 'view.unhide' : 'view.hide'), onPress: hide }]} />}
    />
  );
}
