import type { Person } from '@kotiva/core';
import { useEffect, useMemo, useState } from 'react';
import { spotsOf } from '@/features/visits';
import { placesOf } from '@/store/here.ts';
import { useOpenHouse } from '@/store/store.ts';
import { Phones, type Rang } from './phones.ts';
import type { PhoneState } from './walking-phone.ts';

const MOST_SAID = 40;

/** The phones of these people: they walk as long as the screen is open. */
export function usePhones(people: readonly Person[]) {
  const { rows, house } = useOpenHouse();
  const [states, setStates] = useState<Readonly<Record<string, PhoneState>>>({});
  const [said, setSaid] = useState<readonly Rang[]>([]);
  const ids = people.map(({ id }) => id).join(' ');
  const phones = useMemo(
    () =>
      new Phones(
        ids.split(' '),
        house.id,
        (id, state) => setStates((before) => ({ ...before, [id]: state })),
        (rang) => setSaid((before) => [rang, ...before].slice(0, MOST_SAID)),
      ),
    [ids, house.id],
  );
  useEffect(() => phones.know(spotsOf(placesOf(rows))), [phones, rows]);
  useEffect(() => () => phones.stop(), [phones]);
  return { phones, states, said };
}
