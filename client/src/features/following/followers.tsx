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
    const person = rows.find('person', personId);
    return person === undefined ? [] : [person.name];
  });
  const asker = askedBy ? rows.find('person', askedBy) : undefined;
  if (names.length === 0 && !askedBy) return null;
  return (
    <View className="flex-row flex-wrap items-center gap-x-3">
      <Txt size={15} tone="muted" className="shrink">
        {[asker ? t('watch.askedBy', { name: asker.name }) : null, names.length > 0 ? t('watch.followedBy', { names: together(names) }) : null]
          .filter(Boolean)
          .join(' ')}
      </Txt>
      {askedBy ? (
        <Button kind="quiet" onPress={() => follow(me.id, [], t('said.unfollowed'))}>
          {t('watch.stopMine')}
        </Button>
      ) : null}
    </View>
  );
}
