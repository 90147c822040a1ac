import { withBelow, type Item, type Reader } from '@kotiva/core';
import { t } from '@/words';

/** "Removed “Get the boat ready” with its 4 steps." */
export function sayRemoved(item: Item, rows: Reader): string {
  const steps = stepsBelow(item, rows);
  return steps > 0 ? t('said.removedWithSteps', { title: item.title, count: steps }) : t('said.removed', { title: item.title });
}

/** How many steps hang on it, at any depth. */
export function stepsBelow(item: Item, rows: Reader): number {
  let count = 0;
  for (const id of withBelow(item.id, rows)) {
    const step = id === item.id ? undefined : rows.find('item', id);
    if (step !== undefined && step.removedAt === null) count += 1;
  }
  return count;
}
