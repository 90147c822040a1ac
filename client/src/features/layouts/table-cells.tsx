import { calendarDateOf, countingParts, fieldOfKey, isDone, isFieldKey, isLate, valueIn, type Column, type Item, type Part } from '@kotiva/core';
import { nameOf } from '@/features/item';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { personInk, Txt, type Tone } from '@/ui';
import { t, together } from '@/words';
import { sayFieldValue } from '@/words/fields.ts';
import { sayDuration } from '@/words/amounts.ts';
import { headDay, sayDue, sayInstant, sayMoment } from '@/words/dates.ts';

interface CellProps {
  item: Item;
  /** The reader's own part. */
  part: Part | null;
  column: Column;
}

/** What a table says of an item in one of its columns. */
export function TableCell({ item, part, column }: CellProps) {
  const { rows } = useOpenHouse();
  if (column === 'tag')
    return (
      <Txt size={15} numberOfLines={1}>
        {item.tagIds
          .map((id) => rows.find('tag', id))
          .filter((tag) => tag !== undefined && tag.removedAt === null)
          .map((tag, nth) =>
            tag === undefined ? null : <Txt key={tag.id} size={15} style={{ color: personInk(tag.colour) }}>{`${nth > 0 ? ' ' : ''}#${tag.name}`}</Txt>,
          )}
      </Txt>
    );
  return <Said item={item} part={part} column={column} />;
}

function Said({ item, part, column }: CellProps & { column: Exclude<Column, 'tag'> }) {
  const { words, tone = 'ink' } = useCellWords(item, part, column);
  return (
    <Txt size={15} tone={tone} numberOfLines={1}>
      {words}
    </Txt>
  );
}

function useCellWords(item: Item, part: Part | null, column: Exclude<Column, 'tag'>): { words: string | null; tone?: Tone } {
  const { rows, house } = useOpenHouse();
  const now = useNow();
  const parts = rows.by('part', 'itemId', item.id);
  if (isFieldKey(column)) {
    const field = rows.find('ownField', fieldOfKey(column));
    const value = field === undefined ? null : valueIn(item, field, rows);
    return { words: value === null || field === undefined ? null : field.kind === 'tick' ? '✓' : sayFieldValue(value, field, rows) };
  }
  switch (column) {
    case 'person':
      return { words: together(countingParts(parts).flatMap(({ personId }) => (personId === null ? [] : nameOf(rows, personId)))) };
    case 'due': {
      const late = !isDone(item, parts) && isLate(item, now, house.zone);
      return { words: item.due && sayDue(item.due, late, now, house.zone), tone: late ? 'late' : 'ink' };
    }
    case 'plan':
      return { words: part?.plan ? sayMoment(part.plan, now, house.zone) : null };
    case 'list': {
      const list = item.listId === null ? undefined : rows.find('list', item.listId);
      return { words: list?.name ?? null };
    }
    case 'importance':
      return { words: item.importance > 0 ? t(`board.importance.${item.importance as 1 | 2 | 3}`) : null };
    case 'minutes':
      return { words: item.effort === null ? null : sayDuration(item.effort) };
    case 'start':
      return { words: item.start && sayMoment(item.start, now, house.zone) };
    case 'steps': {
      const steps = rows.by('item', 'parentId', item.id).filter(({ removedAt }) => removedAt === null);
      const done = steps.filter((step) => isDone(step, rows.by('part', 'itemId', step.id))).length;
      return { words: steps.length === 0 ? null : t('common.of', { done, of: steps.length }) };
    }
    case 'made':
      return { words: headDay(calendarDateOf(item.createdAt, house.zone), calendarDateOf(now, house.zone)) };
    case 'done': {
      const at = parts.find(({ standing, completedAt }) => standing === 'completed' && completedAt !== null)?.completedAt;
      return { words: at ? sayInstant(at, now, house.zone) : null };
    }
  }
}
