import { EVERYTHING, FOLLOW_UP_GROUPS, FOLLOW_UP_SORTS, type FollowUp, type FollowUpGroup, type FollowUpNarrowing, type FollowUpSort } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useOpenHouse } from '@/store/store.ts';
import { Button, Choice, Foot, Heading, Labelled, Sheet } from '@/ui';
import { t } from '@/words';

export type Narrowing = Omit<FollowUpNarrowing, 'personId'>;
export const ALL: Narrowing = { group: EVERYTHING.group, listId: EVERYTHING.listId, sort: EVERYTHING.sort };

const isAll = ({ group, listId, sort }: Narrowing): boolean => group === null && listId === null && sort === 'urgency';

interface NarrowProps {
  narrowing: Narrowing;
  /** Everything that is followed: what can be chosen follows from it. */
  followUps: readonly FollowUp[];
  onChange: (narrowing: Narrowing) => void;
}

/** Which of what is followed is looked at, and in which order: by state and list; by person the strip does it. */
export function NarrowButton(props: NarrowProps) {
  const [open, setOpen] = useState(false);
  const { rows } = useOpenHouse();
  const { narrowing } = props;
  const words = isAll(narrowing) ? t('narrow.narrow') : sayNarrowing();
  function sayNarrowing(): string {
    const list = narrowing.listId === null ? null : listName(narrowing.listId);
    return [narrowing.group ? t(`follow.group.${narrowing.group}`) : null, list, narrowing.sort === 'urgency' ? null : t(`narrow.sort.${narrowing.sort}`)]
      .filter(Boolean)
      .join(' · ');
  }
  function listName(id: string): string {
    const list = id === 'none' ? 'absent' : rows.get('list', id);
    return typeof list === 'string' ? t('narrow.noList') : list.name;
  }
  return (
    <>
      <Button kind="quiet" tone="muted" icon="arrange" label={t('narrow.label', { how: words })} onPress={() => setOpen(true)}>
        {words}
      </Button>
      {open ? <NarrowSheet {...props} listName={listName} onClose={() => setOpen(false)} /> : null}
    </>
  );
}

function NarrowSheet({ narrowing, followUps, onChange, listName, onClose }: NarrowProps & { listName: (id: string) => string; onClose: () => void }) {
  const title = t('narrow.title');
  const lists = [...new Set(followUps.map(({ item }) => item.listId ?? 'none'))].sort((a, b) => listName(a).localeCompare(listName(b)));
  return (
    <Sheet open onClose={onClose} title={title} closeLabel={t('common.close')} head={<Heading level={2}>{title}</Heading>}>
      <View className="gap-5 pt-2">
        <Labelled words={t('narrow.state')}>
          <Choice<FollowUpGroup | 'all'>
            label={t('narrow.state')}
            value={narrowing.group ?? 'all'}
            options={[{ value: 'all', words: t('narrow.all') }, ...FOLLOW_UP_GROUPS.map((value) => ({ value, words: t(`follow.group.${value}`) }))]}
            onChange={(group) => onChange({ ...narrowing, group: group === 'all' ? null : group })}
          />
        </Labelled>
        <Labelled words={t('narrow.list')}>
          <Choice
            label={t('narrow.list')}
            value={narrowing.listId ?? 'all'}
            options={[{ value: 'all', words: t('narrow.all') }, ...lists.map((value) => ({ value, words: listName(value) }))]}
            onChange={(listId) => onChange({ ...narrowing, listId: listId === 'all' ? null : listId })}
          />
        </Labelled>
        <Labelled words={t('narrow.sort')}>
          <Choice<FollowUpSort>
            label={t('narrow.sort')}
            value={narrowing.sort}
            options={FOLLOW_UP_SORTS.map((value) => ({ value, words: t(`narrow.sort.${value}`) }))}
            onChange={(sort) => onChange({ ...narrowing, sort })}
          />
        </Labelled>
        <Foot>
          <View className="flex-row gap-2">
            <Button kind="main" onPress={onClose}>
              {t('narrow.show')}
            </Button>
            {isAll(narrowing) ? null : (
              <Button
                onPress={() => {
                  onChange(ALL);
                  onClose();
                }}
              >
                {t('narrow.reset')}
              </Button>
            )}
          </View>
        </Foot>
      </View>
    </Sheet>
  );
}
