import { isUndoable, type CommandName, type Payload, type Reason } from '@kotiva/core';
import { useDispatch } from 'react-redux';
import { useLiveHouse } from '@/store/live-house.tsx';
import { toastShown } from '@/store/store.ts';
import { t } from '@/words';
import { sayNote, sayReason } from '@/words/problems.ts';

/** So many items go in one command, where a command takes several. */
const AT_ONCE = 500;

/**
 * Does the same to any number of items: one action for whoever does it, with one way back. What is refused is said, and what was
 * given before it stands with its way back.
 */
export function useGiveAll(): <N extends CommandName>(
  name: N,
  items: readonly string[],
  payloadOf: (items: string[]) => Payload<N>,
  words: string,
  atOnce?: number,
) => Reason | null {
  const house = useLiveHouse();
  const dispatch = useDispatch();
  return (name, items, payloadOf, words, atOnce = AT_ONCE) => {
    const given: string[] = [];
    const notes = new Set<string>();
    let refused: Reason | null = null;
    let most = atOnce;
    for (let from = 0; from < items.length && !refused;) {
      const some = items.slice(from, from + most);
      const one = house.submit(name, payloadOf(some));
      // handed to many people, fewer items go in one
      if (one.refused?.code === 'too-many' && some.length > 1) {
        most = Math.ceil(some.length / 2);
        continue;
      }
      from += some.length;
      if (one.refused) refused = one.refused;
      else {
        given.push(one.id);
        for (const note of one.notes) notes.add(sayNote(note) ?? '');
      }
    }
    const undo = isUndoable(name) ? [...given].reverse().map((command) => ({ name: 'undo' as const, payload: { command } })) : [];
    dispatch(
      toastShown({
        words: [refused ? sayReason(refused) : words, ...notes].filter(Boolean).join(' '),
        offer: undo.length > 0 ? { words: t('common.undo'), commands: undo } : null,
        tone: refused ? 'refused' : 'plain',
      }),
    );
    return refused;
  };
}
