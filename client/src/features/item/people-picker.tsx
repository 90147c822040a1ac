import { isHere, type Person } from '@kotiva/core';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { GroupChips, groupChoices } from '@/features/groups';
import { InviteSheet, UnknownPerson } from '@/features/invite';
import { useOpenHouse } from '@/store/store.ts';
import { Button, Field, PersonMark, Txt } from '@/ui';
import { t } from '@/words';

interface PeoplePickerProps {
  chosen: readonly string[];
  onToggle: (personId: string) => void;
  /** Those who cannot be chosen here, such as who has it already. */
  without?: readonly string[];
  /** A short word beside a name: "will see only this". */
  noteOn?: (person: Person) => string | null;
  label: string;
  /** Everybody of a group is chosen who is there on that day: a calendar date. Without it, groups are not offered. */
  groups?: { day: string; onChoose: (personIds: string[]) => void };
}

const FIELD_FROM = 7;

/** People by name, address or short mark, any part of it; two of one name are told apart by their marks. */
export function PeoplePicker({ chosen, onToggle, without = [], noteOn, label, groups }: PeoplePickerProps) {
  const { rows, me } = useOpenHouse();
  const [inviting, setInviting] = useState(false);
  const [typed, setTyped] = useState('');
  const people = rows
    .all('person')
    .filter((person) => isHere(person) && !without.includes(person.id))
    .sort((a, b) => a.name.localeCompare(b.name));
  const isTwice = ({ name }: Person) => people.filter((other) => other.name.toLowerCase() === name.toLowerCase()).length > 1;
  const sayWho = (person: Person) => (isTwice(person) ? t('person.withMark', { name: person.name, mark: person.mark }) : person.name);
  const found = people.filter((person) => matches(person, typed));
  /** Enter takes the first that is found, and the next name can be typed. */
  const chooseFirst = () => {
    if (!typed.trim() || !found[0]) return;
    onToggle(found[0].id);
    setTyped('');
  };
  return (
    <View className="gap-2" role="group" aria-label={label}>
      {people.length >= FIELD_FROM ? (
        <Field label={t('person.find')} hideLabel placeholder={t('person.find')} value={typed} onChangeText={setTyped} onSubmitEditing={chooseFirst} />
      ) : null}
      {typed && found.length === 0 ? <UnknownPerson name={typed.trim()} onAdded={onToggle} /> : null}
      {groups ? (
        <GroupChips
          choices={groupChoices(groups.day, rows, without).filter(({ group }) => group.name.toLowerCase().includes(typed.trim().toLowerCase()))}
          chosen={chosen}
          onChoose={groups.onChoose}
        />
      ) : null}
      <View className="flex-row flex-wrap gap-2">
        {found.map((person) => {
          const on = chosen.includes(person.id);
          const note = on ? noteOn?.(person) : null;
          return (
            <Pressable
              key={person.id}
              role="checkbox"
              aria-checked={on}
              onPress={() => onToggle(person.id)}
              className={`min-h-11 flex-row items-center gap-2 rounded-control border-2 bg-sunk py-1 pl-1.5 pr-3 ${on ? 'border-pine' : 'border-sunk'}`}
            >
              <PersonMark looks={person} size={28} />
              <View>
                <Txt size={15} face={on ? 'bold' : 'medium'}>
                  {sayWho(person)}
                </Txt>
                {note ? (
                  <Txt size={13} tone="muted">
                    {note}
                  </Txt>
                ) : null}
              </View>
            </Pressable>
          );
        })}
        {me.role === 'manager' ? (
          <Button kind="quiet" icon="plus" onPress={() => setInviting(true)}>
            {t('invite.make')}
          </Button>
        ) : null}
      </View>
      {inviting ? <InviteSheet onClose={() => setInviting(false)} /> : null}
    </View>
  );
}

export function matches(person: Person, typed: string): boolean {
  const wanted = typed.trim().toLowerCase();
  return wanted === '' || [person.name, person.email ?? ''].some((text) => text.toLowerCase().includes(wanted)) || person.mark.toLowerCase().startsWith(wanted);
}
