import type { Activity, Item } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { Button, Txt } from '@/ui';
import { t } from '@/words';
import { sayInstant } from '@/words/dates.ts';
import { nameOf } from './knot-of.ts';

/** Who changed the notes last and when; what they changed one tap away. */
export function NotesChanged({ item }: { item: Item }) {
  const { rows, house } = useOpenHouse();
  const now = useNow();
  const [open, setOpen] = useState(false);
  const last = rows
    .by('activity', 'itemId', item.id)
    .filter(({ kind, params }) => kind === 'item.change' && params['field'] === 'notes')
    .sort((a, b) => b.seq - a.seq)[0];
  if (!last) return null;
  return (
    <View>
      <View className="-ml-2 items-start">
        <Button kind="quiet" tone="muted" expanded={open} onPress={() => setOpen(!open)}>
          {t('notes.changed', { name: nameOf(rows, last.actorId), when: sayInstant(last.at, now, house.zone) })}
        </Button>
      </View>
      {open ? (
        <View className="gap-2 rounded-sheet bg-ground p-4">
          <Lines title={t('notes.added')} lines={linesIn(last, 'added')} />
          <Lines title={t('notes.removed')} lines={linesIn(last, 'removed')} isGone />
        </View>
      ) : null}
    </View>
  );
}

const linesIn = ({ params }: Activity, which: 'added' | 'removed'): string[] => {
  const lines = params[which];
  return Array.isArray(lines) ? lines : [];
};

function Lines({ title, lines, isGone = false }: { title: string; lines: readonly string[]; isGone?: boolean }) {
  if (lines.length === 0) return null;
  return (
    <View>
      <Txt size={13} tone="muted">
        {title}
      </Txt>
      {lines.map((line, nth) => (
        <Txt key={nth} size={15} tone={isGone ? 'muted' : 'ink'} className={isGone ? 'line-through' : ''}>
          {line}
        </Txt>
      ))}
    </View>
  );
}
