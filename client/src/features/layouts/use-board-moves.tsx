import { fieldOfKey, isDone, isFieldKey, type BoardBy, type Item, type Person } from '@kotiva/core';
import { useState } from 'react';
import { HandToSheet } from '@/features/item';
import { useSubmit } from '@/store/live-house.tsx';
import { useOpenHouse } from '@/store/store.ts';
import { t } from '@/words';
import { sayColumn } from './board-columns.ts';

/** Something that is moved from one column to another. */
export interface BoardMove {
  item: Item;
  from: string | null;
  to: string | null;
}

/** What moving between columns does, and the question it may ask: with a person, whether a message goes along. */
export function useBoardMoves(by: BoardBy): { move: (move: BoardMove) => void; mayMove: (item: Item) => boolean; question: React.ReactNode } {
  const { rows } = useOpenHouse();
  const submit = useSubmit();
  const [handing, setHanding] = useState<{ item: Item; from: Person | null; to: Person } | null>(null);
  const personOf = (id: string | null): Person | null => {
    const person = id === null ? undefined : rows.find('person', id);
    return person ?? null;
  };
  const move = ({ item, from, to }: BoardMove) => {
    if (from === to) return;
    const said = { words: t('board.moved', { title: item.title, column: sayColumn({ key: to }, by, rows) }), undo: true };
    if (isFieldKey(by)) return void submit('item.setFields', { item: item.id, values: [{ field: fieldOfKey(by), value: to }] }, said);
    switch (by) {
      case 'importance':
        return void submit('item.change', { item: item.id, importance: Number(to) }, said);
      case 'list':
        return void submit('item.move', { items: [item.id], list: to, section: null }, said);
      case 'section': {
        const section = to === null ? undefined : rows.find('section', to);
        return void submit('item.move', { items: [item.id], list: section === undefined ? item.listId : section.listId, section: to }, said);
      }
      case 'stage':
        return to === null ? undefined : void submit('item.toStage', { item: item.id, stage: to }, said);
      case 'person': {
        const person = personOf(to);
        if (person) return setHanding({ item, from: personOf(from), to: person });
        return void submit('part.takeBack', { item: item.id, persons: [from!] }, said);
      }
    }
  };
  return {
    move,
    // whose it is no longer changes once it is done
    mayMove: (item) => by !== 'person' || !isDone(item, rows.by('part', 'itemId', item.id)),
    question: handing ? <HandToSheet {...handing} onClose={() => setHanding(null)} /> : null,
  };
}
