import { groupsOf, membersOf, relationToList, isHere, shareId, type Access, type List, type Reader } from '@kotiva/core';
import { View } from 'react-native';
import { useGiveAll } from '@/features/item';
import { accessesFor, InviteSheet } from '@/features/invite';
import { useSubmit } from '@/store/live-house.tsx';
import { useOpenHouse } from '@/store/store.ts';
import { Button, Choice, Heading, Menu, PersonMark, Sheet, Txt, useSheet } from '@/ui';
import { t, together } from '@/words';

/** Who may do what in a list, and whose it is. */
export function SharingSheet({ list, onClose }: { list: List; onClose: () => void }) {
  const { rows, me } = useOpenHouse();
  const [inviting, setInviting] = useSheet('invite');
  const submit = useSubmit();
  const people = rows
    .all('person')
    .filter((person) => isHere(person) && person.role !== 'outside')
    .sort((a, b) => (a.id === list.ownerId ? -1 : b.id === list.ownerId ? 1 : a.name.localeCompare(b.name)));
  // also those who open it because they manage the house
  const seenBy = people
    .filter((person) => relationToList(list.id, person, rows) !== null)
    .map((person) => {
      const share = rows.find('share', shareId(list.id, person.id));
      const byOffice = person.role === 'manager' && person.id !== list.ownerId && (share === undefined || share.access === null);
      return byOffice ? t('share.asManager', { name: person.name }) : person.name;
    });
  const title = t('share.title', { name: list.name });
  const shared = rows.by('share', 'listId', list.id).some((share) => share.access !== null);
  return (
    <Sheet open onClose={onClose} title={title} closeLabel={t('common.close')} head={<Heading level={2}>{title}</Heading>}>
      <Txt size={15} tone="muted" className="pb-2">
        {shared ? [t('share.seenBy', { names: together(seenBy) }), t('share.managersToo')].join(' ') : t('share.onlyOwner')}
      </Txt>
      {people.map((person) => {
        const share = rows.find('share', shareId(list.id, person.id));
        const access = share?.access ?? null;
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
                      onPress: () => void submit('list.giveTo', { list: list.id, person: person.id }, { words: t('said.ownerIs', { name: person.name }) }),
                    },
                  ]}
                />
              )}
            </View>
            {owner ? null : (
              <Choice<Access | 'none'>
                label={t('share.accessOf', { name: person.name })}
                value={access === 'edit' && person.role === 'helper' ? 'check' : (access ?? 'none')}
                onChange={(next) =>
                  submit(
                    'list.share',
                    { list: list.id, person: person.id, access: next === 'none' ? null : next },
                    { words: t(next === 'none' ? 'said.unshared' : 'said.shared', { name: person.name }), undo: true },
                  )
                }
                options={accessesFor(person.role).map((value) => ({ value, words: t(`access.${value}`) }))}
              />
            )}
          </View>
        );
      })}
      <SharingWithGroups list={list} />
      {me.role === 'manager' ? (
        <View className="items-start pt-3">
          <Button icon="plus" onPress={() => setInviting(true)}>
            {t('invite.make')}
          </Button>
        </View>
      ) : null}
      {inviting ? <InviteSheet list={list.id} onClose={() => setInviting(false)} /> : null}
    </Sheet>
  );
}

/** Everybody who is in a group now is given the same, as one action. */
function SharingWithGroups({ list }: { list: List }) {
  const { rows } = useOpenHouse();
  const giveAll = useGiveAll();
  return groupsOf(rows).map((group) => {
    const members = membersOf(group, rows).filter(({ id, role }) => id !== list.ownerId && role !== 'outside');
    if (members.length === 0) return null;
    const accesses = new Set(members.map(({ id }) => accessOf(list.id, id, rows)));
    const share = (next: Access | 'none') => {
      const accessFor = (id: string): Access | null => {
        const isHelper = members.find((one) => one.id === id)?.role === 'helper';
        return next === 'none' ? null : next === 'edit' && isHelper ? 'check' : next;
      };
      const words = t(next === 'none' ? 'said.unshared' : 'said.shared', { name: group.name });
      giveAll(
        'list.share',
        members.map(({ id }) => id),
        ([person]) => ({ list: list.id, person: person!, access: accessFor(person!) }),
        words,
        1,
      );
    };
    return (
      <View key={group.id} className="gap-2 border-b border-line py-3">
        <Txt face="medium">{t('groups.count', { name: group.name, count: members.length })}</Txt>
        <Choice<Access | 'none'>
          label={t('share.accessOf', { name: group.name })}
          value={accesses.size === 1 ? ([...accesses][0] ?? 'none') : null}
          onChange={share}
          options={accessesFor('member').map((value) => ({ value, words: t(`access.${value}`) }))}
        />
      </View>
    );
  });
}

function accessOf(listId: string, personId: string, rows: Reader): Access | null {
  const share = rows.find('share', shareId(listId, personId));
  return share?.access ?? null;
}
