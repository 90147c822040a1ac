import { View } from 'react-native';
import { useOpenHouse } from '@/store/store.ts';
import { Button, Txt } from '@/ui';
import { t, together } from '@/words';
import { useFollowing, type Followed } from './use-following.ts';

/** A line that names who follows something, where anybody does; whoever was asked to can stop here. */
export function Followers({ of }: { of: Followed }) {
  const { rows, me } = useOpenHouse();
  const { others, askedBy, follow } = useFollowing(of);
  const names = others.flatMap(({ personId }) => {
    const person = rows.get('person', personId);
    return typeof person === 'string' ? [] : [person.name];
  });
  const asker = askedBy ? rows.get('person', askedBy) : null;
  if (names.length === 0 && !asker) return null;
  return (
    <View className="flex-row flex-wrap items-center gap-x-3">
      <Txt size={15} tone="muted" className="shrink">
        {[
          asker && typeof asker !== 'string' ? t('watch.askedBy', { name: asker.name }) : null,
          names.length > 0 ? t('watch.followedBy', { names: together(names) }) : null,
        ]
          .filter(Boolean)
          .join(' ')}
      </Txt>
      {asker ? (
        <Button kind="quiet" onPress={() => follow(me.id, [], t('said.unfollowed'))}>
          {t('watch.stopMine')}
        </Button>
      ) : null}
    </View>
  );
}
