import { groupsOf, membersOf, type PeopleGroup } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useOpenHouse } from '@/store/store.ts';
import { Button, GroupHead, Row, Txt } from '@/ui';
import { t, together } from '@/words';
import { GroupSheet } from './group-sheet.tsx';

/** The groups of the house, on the page of its people. */
export function GroupsPart() {
  const { rows, me } = useOpenHouse();
  const [sheet, setSheet] = useState<PeopleGroup | 'new' | null>(null);
  const groups = groupsOf(rows);
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
          onPress={mayChange ? () => setSheet(group) : undefined}
        />
      ))}
      {mayChange ? (
        <View className="items-start px-4 py-3">
          <Button icon="plus" onPress={() => setSheet('new')}>
            {t('groups.make')}
          </Button>
        </View>
      ) : null}
      {sheet ? <GroupSheet group={sheet === 'new' ? null : sheet} onClose={() => setSheet(null)} /> : null}
    </View>
  );
}
