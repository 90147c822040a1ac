import { isHere, membersOf, type PeopleGroup, type Reason } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useDraft } from '@/store/drafts.ts';
import { useSubmit } from '@/store/live-house.tsx';
import { useOpenHouse } from '@/store/store.ts';
import { Button, ErrorLine, Field, Foot, Heading, LabelledToggles, Sheet } from '@/ui';
import { t } from '@/words';
import { sayReason } from '@/words/problems.ts';

/** A group: what it is called and who is in it. Null: a new one. */
export function GroupSheet({ group, onClose }: { group: PeopleGroup | null; onClose: () => void }) {
  const { rows } = useOpenHouse();
  const submit = useSubmit();
  const [begin] = useState(() => ({ name: group?.name ?? '', persons: group ? membersOf(group, rows).map(({ id }) => id) : [] }));
  const [{ name, persons }, setTyped, settled] = useDraft(`group/${group?.id ?? 'new'}`, begin);
  const [reason, setReason] = useState<Reason | null>(null);
  const people = rows.all('person').filter(isHere).sort((a, b) => a.name.localeCompare(b.name)); // prettier-ignore
  const set = (some: Partial<typeof begin>) => {
    setTyped((now) => ({ ...now, ...some }));
    setReason(null);
  };
  const leave = () => {
    settled();
    onClose();
  };
  const save = () => {
    const said = { words: t('said.saved'), undo: true, ownRefusal: true };
    const refused = group ? submit('group.change', { group: group.id, name, persons }, said) : submit('group.make', { name, persons }, said);
    if (refused) setReason(refused);
    else leave();
  };
  const remove = () => {
    if (!submit('group.change', { group: group!.id, removed: true }, { words: t('said.groupRemoved', { name: group!.name }), undo: true })) leave();
  };
  const title = group ? group.name : t('groups.make');
  const says = reason && sayReason(reason);
  return (
    <Sheet open onClose={onClose} title={title} closeLabel={t('common.close')} head={<Heading level={2}>{title}</Heading>}>
      <View className="gap-4 pt-2">
        <Field
          label={t('groups.name')}
          value={name}
          maxLength={60}
          placeholder={t('groups.nameHint')}
          autoFocus={group === null}
          error={reason?.field === 'name' ? says : null}
          onChangeText={(next) => set({ name: next })}
          onSubmitEditing={save}
        />
        <LabelledToggles
          label={t('groups.who')}
          on={persons}
          options={people.map(({ id, name: words }) => ({ value: id, words }))}
          onChange={(next) => set({ persons: next })}
        />
        <ErrorLine says={reason?.field === 'name' ? null : says} />
        <Foot>
          <View className="flex-row flex-wrap gap-2">
            <Button kind="main" onPress={save}>
              {t('common.save')}
            </Button>
            {group ? (
              <Button tone="late" onPress={remove}>
                {t('groups.remove')}
              </Button>
            ) : null}
          </View>
        </Foot>
      </View>
    </Sheet>
  );
}
