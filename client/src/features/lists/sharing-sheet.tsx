import { isHere, shareId, type Access, type List } from '@kotiva/core';
import { View } from 'react-native';
import { useGive } from '@/store/live-house.tsx';
import { usePlace } from '@/store/store.ts';
import { Choice, Heading, Menu, PersonMark, Sheet, Txt } from '@/ui';
import { t } from '@/words';

/** Who may do what in a list, and whose it is. */
export function SharingSheet({ list, onClose }: { list: List; onClose: () => void }) {
  const { rows } = usePlace();
  const give = useGive();
  const people = rows
    .all('person')
    .filter((person) => isHere(person) && person.role !== 'outside')
    .sort((a, b) => (a.id === list.ownerId ? -1 : b.id === list.ownerId ? 1 : a.name.localeCompare(b.name)));
  const title = t('share.title', { name: list.name });
  const shared = rows.by('share', 'listId', list.id).some((share) => share.access !== null);
  return (
    <Sheet open onClose={onClose} title={title} closeLabel={t('common.close')} head={<Heading level={2}>{title}</Heading>}>
      <Txt size={15} tone="muted" className="pb-2">
        {t(shared ? 'share.managersToo' : 'share.onlyOwner')}
      </Txt>
      {people.map((person) => {
        const share = rows.get('share', shareId(list.id, person.id));
        const access = typeof share === 'string' ? null : share.access;
        const owner = person.id === list.ownerId;
        return (
          <View key={person.id} className="gap-2 border-b border-line py-3">
            <View className="flex-row items-center gap-3">
              <PersonMark looks={person} size={32} />
              <View className="grow shrink basis-0">
                <Txt face="medium">{person.name}</Txt>
                <Txt size={13} tone="muted">
                  {owner ? t('share.owner') : t(`role.${person.role}`)}
                </Txt>
              </View>
              {owner ? null : (
                <Menu
                  label={t('share.more', { name: person.name })}
                  entries={[
                    {
                      key: 'own',
                      words: t('share.makeOwner'),
                      onPress: () => void give('list.giveTo', { list: list.id, person: person.id }, { words: t('said.ownerIs', { name: person.name }) }),
                    },
                  ]}
                />
              )}
            </View>
            {owner ? null : (
              <Choice<Access | 'none'>
                label={t('share.accessOf', { name: person.name })}
                value={access ?? 'none'}
                onChange={(next) =>
                  give(
                    'list.share',
                    { list: list.id, person: person.id, access: next === 'none' ? null : next },
                    { words: t(next === 'none' ? 'said.unshared' : 'said.shared', { name: person.name }), undo: true },
                  )
                }
                options={(['none', 'view', 'check', 'edit'] as const).map((value) => ({ value, words: t(`access.${value}`) }))}
              />
            )}
          </View>
        );
      })}
    </Sheet>
  );
}
