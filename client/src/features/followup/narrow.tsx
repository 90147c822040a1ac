import { EVERYTHING, FOLLOW_UP_GROUPS, FOLLOW_UP_SORTS, type FollowUpGroup, type FollowUpNarrowing, type FollowUpSort } from '@kotiva/core';
import { View } from 'react-native';
import { Button, Choice, Foot, Heading, Labelled, Sheet, useSheet } from '@/ui';
import { t } from '@/words';

export type Narrowing = Omit<FollowUpNarrowing, 'personId'>;
export const ALL: Narrowing = { group: EVERYTHING.group, sort: EVERYTHING.sort };

const isAll = ({ group, sort }: Narrowing): boolean => group === null && sort === 'urgency';

interface NarrowProps {
  narrowing: Narrowing;
  onChange: (narrowing: Narrowing) => void;
}

/** Which of what is followed is looked at by how it stands, and in which order; by person the strip narrows it, by anything else the filter. */
export function NarrowButton(props: NarrowProps) {
  const [open, setOpen] = useSheet('narrow');
  const { narrowing } = props;
  const words = isAll(narrowing) ? t('narrow.narrow') : sayNarrowing(narrowing);
  return (
    <>
      <Button kind="quiet" tone="muted" icon="arrange" label={t('narrow.label', { how: words })} onPress={() => setOpen(true)}>
        {words}
      </Button>
      {open ? <NarrowSheet {...props} onClose={() => setOpen(false)} /> : null}
    </>
  );
}

const sayNarrowing = ({ group, sort }: Narrowing): string =>
  [group ? t(`follow.group.${group}`) : null, sort === 'urgency' ? null : t(`narrow.sort.${sort}`)].filter(Boolean).join(' · ');

function NarrowSheet({ narrowing, onChange, onClose }: NarrowProps & { onClose: () => void }) {
  const title = t('narrow.title');
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
