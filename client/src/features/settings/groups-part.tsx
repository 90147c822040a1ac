import { groupsOf, membersOf } from '@kotiva/core';
import { View } from 'react-native';
import { useOpenHouse } from '@/store/store.ts';
import { Button, GroupHead, Row, Txt, useSheetAt } from '@/ui';
import { t, together } from '@/words';
import { GroupSheet } from './group-sheet.tsx';

/** The groups of the house, on the page of its people. */
export function GroupsPart() {
  const { rows, me } = useOpenHouse();
  const [sheet, setSheet] = useSheetAt('group');
  const groups = groupsOf(rows);
  const changed = groups.find(({ id }) => id === sheet) ?? null;
  const mayChange = me.role === 'manager';
  if (groups.length === 0 && !mayChange) return null;
  return (
    <View>
      <GroupHead title={t('groups.title')} count={groups.length} />
      {groups.length === 0 ? (
        <Txt tone="muted" className="px-4 pb-2">
          {t('groups.means')}
        </Txt>
      ) : null}
      {groups.map((group) => (
        <Row
          key={group.id}
          title={group.name}
          sub={together(membersOf(group, rows).map(({ name }) => name))}
          wraps
          onPress={mayChange ? () => setSheet(group.id) : undefined}
        />
      ))}
      {mayChange ? (
        <View className="items-start px-4 py-3">
          <Button icon="plus" onPress={() => setSheet('new')}>
            {t('groups.make')}
          </Button>
        </View>
      ) : null}
      {mayChange && (sheet === 'new' || changed) ? <GroupSheet group={changed} onClose={() => setSheet(null)} /> : null}
    </View>
  );
}
