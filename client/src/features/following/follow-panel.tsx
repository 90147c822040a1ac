import { countingParts, type Topic } from '@kotiva/core';
import { View } from 'react-native';
import { useOpenHouse } from '@/store/store.ts';
import { Button, Labelled, PersonMark, Toggles, Txt } from '@/ui';
import { t } from '@/words';
import { useFollowing, type Followed } from './use-following.ts';

const EACH = 'each';

/** What one hears of something, and who else does. `mayAsk`: others may be asked to follow it. */
export function FollowPanel({ of, mayAsk, onClose }: { of: Followed; mayAsk: boolean; onClose?: () => void }) {
  const { rows, me } = useOpenHouse();
  const { topics, mine, each, others, askable, askedBy, follow } = useFollowing(of);
  const name = (personId: string) => {
    const person = rows.find('person', personId);
    return person === undefined ? t('person.left') : person.name;
  };
  // of what several do, also when each of them is through with it
  const hasEach = of.item?.policy === 'each' && countingParts(rows.by('part', 'itemId', of.item.id)).length > 1;
  const choose = (on: string[]) => {
    const wantsEach = on.includes(EACH) && (!each || on.includes('done'));
    const chosen = topics.filter((topic) => on.includes(topic) || (topic === 'done' && wantsEach));
    follow(me.id, chosen, t(chosen.length > 0 ? 'said.saved' : 'said.unfollowed'), wantsEach);
  };
  return (
    <View className="gap-4">
      {askedBy ? (
        <Txt size={15} tone="muted">
          {t('watch.askedBy', { name: name(askedBy) })}
        </Txt>
      ) : null}
      <Labelled words={t(of.item ? 'watch.tellMe' : 'watch.tellMeOfList')}>
        <Toggles
          label={t(of.item ? 'watch.tellMe' : 'watch.tellMeOfList')}
          on={each ? [...mine, EACH] : mine}
          options={[
            ...topics.map((topic: Topic) => ({ value: topic as string, words: t(`watch.${topic}` as 'watch.done') })),
            ...(hasEach ? [{ value: EACH, words: t('watch.each') }] : []),
          ]}
          onChange={choose}
        />
      </Labelled>
      {others.length > 0 ? (
        <Labelled words={t('watch.others')}>
          {others.map(({ personId, byId, ...watch }) => {
            const person = rows.find('person', personId);
            if (person === undefined) return null;
            return (
              <View key={watch.id} className="min-h-11 flex-row items-center gap-3">
                <PersonMark looks={person} size={28} />
                <View className="grow shrink basis-0">
                  <Txt>{person.name}</Txt>
                  {byId ? (
                    <Txt size={13} tone="muted">
                      {byId === me.id ? t('watch.byMe') : t('watch.by', { name: name(byId) })}
                    </Txt>
                  ) : null}
                </View>
                {mayAsk && byId === me.id ? (
                  <Button
                    kind="quiet"
                    label={t('watch.stopOf', { name: person.name })}
                    onPress={() => follow(personId, [], t('said.followStopped', { name: person.name }))}
                  >
                    {t('watch.stop')}
                  </Button>
                ) : null}
              </View>
            );
          })}
        </Labelled>
      ) : null}
      {mayAsk && askable.length > 0 ? (
        <Labelled words={t('watch.ask')}>
          <View className="flex-row flex-wrap gap-2">
            {askable.map((person) => (
              <Button
                key={person.id}
                kind="quiet"
                tone="plan"
                label={t('watch.askOf', { name: person.name })}
                onPress={() => follow(person.id, topics, t('said.followAsked', { name: person.name }))}
              >
                {person.name}
              </Button>
            ))}
          </View>
        </Labelled>
      ) : null}
      {onClose ? (
        <View className="items-start">
          <Button kind="quiet" onPress={onClose}>
            {t('common.close')}
          </Button>
        </View>
      ) : null}
    </View>
  );
}
