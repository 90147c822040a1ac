import { isLate, openParts, type Reader, type Person } from '@kotiva/core';
import type { SeenItem } from '@kotiva/core/views/seen-by';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { Row } from '@/ui';
import { t, together } from '@/words';
import { sayDue, sayMoment } from '@/words/dates.ts';

interface SeenItemRowProps {
  seen: SeenItem;
  /** What both see. */
  rows: Reader;
  person: Person;
}

/** An item as somebody has it before them: when, who has it, and what they may do with it. Nothing here can be tapped. */
export function SeenItemRow({ seen: { item, most }, rows, person }: SeenItemRowProps) {
  const { house } = useOpenHouse();
  const now = useNow();
  const open = openParts(rows.by('part', 'itemId', item.id));
  const own = open.find(({ personId }) => personId === person.id);
  const others = open.flatMap(({ personId }) => {
    const other = personId === null || personId === person.id ? undefined : rows.find('person', personId);
    return other === undefined ? [] : [other.name];
  });
  const late = isLate(item, now, house.zone);
  const lines = [
    own ? t('seen.has', { name: person.name }) : null,
    others.length > 0 ? t('seen.with', { names: together(others) }) : null,
    own?.plan ? t('seen.planned', { when: sayMoment(own.plan, now, house.zone) }) : null,
    own ? null : t(`seen.may.${most}`),
  ];
  return (
    <Row
      title={item.title}
      sub={lines.filter(Boolean).join(' · ')}
      right={item.due ? sayDue(item.due, late, now, house.zone) : undefined}
      rightTone={late ? 'late' : 'ink'}
      wraps
    />
  );
}
