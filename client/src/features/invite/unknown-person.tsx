import { isHere } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useStore } from 'react-redux';
import { suggestLooks } from '@/features/account';
import { useSubmit } from '@/store/live-house.tsx';
import { selectRows } from '@/store/rows.ts';
import { useOpenHouse, type Store } from '@/store/store.ts';
import { Button, ErrorLine } from '@/ui';
import { t } from '@/words';
import { InviteSheet } from './fetched.ts';

interface UnknownPersonProps {
  name: string;
  /** Somebody of that name is here now, without an account. */
  onAdded?: (personId: string) => void;
}

/** Nobody here is called that: invited with a link, or added by name alone; whatever was typed stays. Managers let people in. */
export function UnknownPerson({ name, onAdded }: UnknownPersonProps) {
  const { rows, me } = useOpenHouse();
  const submit = useSubmit();
  const [inviting, setInviting] = useState(false);
  const store = useStore() as Store;
  const said = <ErrorLine says={t('capture.unknown', { name })} />;
  if (me.role !== 'manager') return said;
  const add = () => {
    const looks = suggestLooks(name, rows.all('person').filter(isHere));
    if (submit('person.add', { name, ...looks }, { words: t('said.personAdded', { name }), undo: true })) return;
    // a mark is nobody else's
    const added = selectRows(store.getState().house)
      .all('person')
      .find((person) => isHere(person) && person.mark === looks.mark);
    if (added) onAdded?.(added.id);
  };
  return (
    <View className="gap-2">
      {said}
      <View className="flex-row flex-wrap gap-2">
        <Button onPress={() => setInviting(true)}>{t('invite.name', { name })}</Button>
        <Button onPress={add}>{t('invite.without', { name })}</Button>
      </View>
      {inviting ? <InviteSheet name={name} onClose={() => setInviting(false)} /> : null}
    </View>
  );
}
