import { allows, relationToList, isHere, type List, type Person } from '@kotiva/core';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { useSubmit } from '@/store/live-house.tsx';
import { useOpenHouse } from '@/store/store.ts';
import { Button, Choice, Txt } from '@/ui';
import { t, together } from '@/words';

/** How somebody who can't open a list gets to what is handed to them from it. */
type Way = 'item' | 'list';

interface Ways {
  /** The question, or null where everyone can open it. */
  asks: React.ReactNode;
  /** It has not been answered: nothing is handed over yet. */
  isOpen: boolean;
  /** Does what was chosen, once the handover went. */
  settle: () => void;
}

interface Shut {
  list: List;
  person: Person;
}

/** Asks how, before anything is handed to people who can't open the lists it lies in: this only, or the list too. */
export function useWays(listIds: readonly (string | null | undefined)[], personIds: readonly string[]): Ways {
  const { rows, me } = useOpenHouse();
  const submit = useSubmit();
  const [way, setWay] = useState<Way | null>(null);
  const shut: Shut[] = [];
  for (const listId of new Set(listIds)) {
    const list = listId ? rows.find('list', listId) : undefined;
    if (list === undefined) continue;
    for (const personId of personIds) {
      const person = rows.find('person', personId);
      if (person === undefined || !isHere(person) || relationToList(list.id, person, rows) !== null) continue;
      shut.push({ list, person });
    }
  }
  if (shut.length === 0) return { asks: null, isOpen: false, settle: () => undefined };
  const mayShare = shut.every(({ list, person }) => {
    return person.role !== 'outside' && allows({ permission: 'share', list: list.id }, me, rows);
  });
  return {
    asks: <WaysChoice shut={shut} way={way} mayShare={mayShare} onChoose={setWay} />,
    isOpen: way === null,
    settle: () => {
      if (way === 'list') for (const { list, person } of shut) submit('list.share', { list: list.id, person: person.id, access: 'check' });
      setWay(null);
    },
  };
}

function WaysChoice({ shut, way, mayShare, onChoose }: { shut: readonly Shut[]; way: Way | null; mayShare: boolean; onChoose: (way: Way) => void }) {
  const { me } = useOpenHouse();
  const router = useRouter();
  const names = together([...new Set(shut.map(({ person }) => person.name))]);
  const lists = together([...new Set(shut.map(({ list }) => list.name))]);
  const question = t('ways.question', { names, lists });
  const withoutAccount = shut.some(({ person }) => person.role === 'outside');
  return (
    <View role="group" aria-label={question} className="gap-2">
      <Txt size={15} tone="waits">
        {question}
      </Txt>
      <Choice<Way>
        label={question}
        value={way}
        onChange={onChoose}
        options={[{ value: 'item', words: t('ways.item') }, ...(mayShare ? [{ value: 'list' as const, words: t('ways.list', { lists }) }] : [])]}
      />
      {withoutAccount && me.role === 'manager' ? (
        <View className="items-start">
          <Button kind="quiet" onPress={() => router.push('/people')}>
            {t('ways.invite', { names })}
          </Button>
        </View>
      ) : null}
    </View>
  );
}
