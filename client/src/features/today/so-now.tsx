import { isGranted, candidatesOf, whyNot, type Candidate, type Item } from '@kotiva/core';
import { useMemo } from 'react';
import { View } from 'react-native';
import { useDispatch } from 'react-redux';
import { relations, ItemRow } from '@/features/item';
import { switched, useOpenHouse, usePlanView, useSoNow } from '@/store/store.ts';
import { Button, GroupHead, Toggles, Txt } from '@/ui';
import { t, together } from '@/words';

const useSituations = () =>
  useOpenHouse()
    .rows.all('situation')
    .filter((situation) => !situation.removedAt);

/** What is so now, in a word; it opens the choice. Absent where the house knows no situations. */
export function SoNowButton({ open, onPress }: { open: boolean; onPress: () => void }) {
  const on = useSoNow();
  const situations = useSituations();
  if (situations.length === 0) return null;
  const names = situations.filter(({ id }) => on.includes(id)).map(({ name }) => name);
  const words = names.length > 0 ? t('soNow.on', { names: together(names) }) : t('soNow.off');
  return (
    <Button kind="quiet" tone={names.length > 0 ? 'pine' : 'muted'} expanded={open} onPress={onPress}>
      {words}
    </Button>
  );
}

/** Switched on, Today shows what a situation allows, and nothing that needs something else. */
export function SoNowChoice() {
  const dispatch = useDispatch();
  const on = useSoNow();
  const situations = useSituations();
  return (
    <View className="gap-2 border-b border-line bg-ground px-4 py-3">
      <Txt size={15} tone="muted">
        {t('soNow.means')}
      </Txt>
      <Toggles
        label={t('soNow.title')}
        on={on}
        options={situations.map(({ id, name }) => ({ value: id, words: name }))}
        onChange={(ids) => dispatch(switched(ids))}
      />
    </View>
  );
}

/** What the situations that are so now make possible, dated or not, from every list. */
export function PossibleNow({ without, meets }: { without: ReadonlySet<string>; meets: (item: Item) => boolean }) {
  const { rows, me } = useOpenHouse();
  const view = usePlanView();
  const on = useSoNow();
  const key = on.join(' ');
  const possible = useMemo(
    (): Candidate[] =>
      key === ''
        ? []
        : candidatesOf(view, rows, (item) => relations(item, me, rows).some((relation) => isGranted(relation, 'check'))).filter(
            (one) => one.item.situationIds.length > 0 && whyNot(one, { minutes: null, energy: null, place: null, situations: key.split(' ') }) === null,
          ),
    // the minute is all that changes in the view
    [view.now, view.personId, rows, me, key], // eslint-disable-line react-hooks/exhaustive-deps
  );
  const shown = possible.filter(({ item }) => !without.has(item.id) && meets(item));
  if (shown.length === 0) return null;
  const names = on.map((id) => rows.find('situation', id)).flatMap((row) => (row === undefined ? [] : [row.name]));
  return (
    <View>
      <GroupHead title={t('soNow.possible', { names: together(names) })} count={shown.length} />
      {shown.map(({ item }) => (
        <ItemRow key={item.id} item={item} />
      ))}
    </View>
  );
}
