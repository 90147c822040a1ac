import { allows, relationsToItem, isDone, progressOf, type Item, type Reader, type Part, type Person, type Reason } from '@kotiva/core';
import { useDispatch } from 'react-redux';
import { answerAsked } from '@/store/wanted.ts';
import { useSubmit, type Submit } from '@/store/live-house.tsx';
import { useHouseAsItIs, type Toast } from '@/store/store.ts';
import { t } from '@/words';
import { playTied } from './tie-sound.ts';
import { nameOf } from './knot-of.ts';
import { useStay } from './use-stay.ts';

export const relations = (item: Item, person: Person, rows: Reader) => relationsToItem(item, person, rows);

/** The part that a tap of this person ties: their own, else nobody's if they may check here. */
export function partToTie(item: Item, parts: readonly Part[], me: Person, rows: Reader): Part | null {
  const own = parts.find((part) => part.personId === me.id && !part.takenBackAt && !part.passedTo);
  if (own) return own;
  const nobody = parts.find((part) => part.personId === null && !part.takenBackAt);
  if (!nobody) return null;
  return allows({ permission: 'check', item: item.id }, me, rows) ? nobody : null;
}

/** Ties or unties a knot, says so, and offers the way back, or the whole when its last step was ticked. */
export function useTie(): (item: Item, part: Part, answer?: string) => Reason | null | void {
  const give = useSubmit();
  const stay = useStay();
  const dispatch = useDispatch();
  const { me, rows } = useHouseAsItIs();
  const submit: Submit = (...command) => stay(() => give(...command));
  return (item, part, answer) => {
    const payload = { item: item.id, person: part.personId, ...(answer ? { answer } : {}) };
    // an answer never unties: somebody was first
    if (part.standing === 'completed' && answer !== undefined) return null;
    if (part.standing === 'completed') {
      const keepBoth: Toast['offer'] = {
        words: t('said.keepBoth'),
        commands: [{ name: 'part.uncheck', payload: { item: item.id, person: part.personId, next: 'keep' } }],
      };
      const instead = ({ code }: Reason) => (code === 'next-touched' ? keepBoth : null);
      submit('part.uncheck', { item: item.id, person: part.personId }, { words: t('said.unchecked', { title: item.title }), undo: true, instead });
      return;
    }
    // what it asks for is asked first; the answer ties it
    if (item.wanted && part.completedAt === null && answer === undefined) return void dispatch(answerAsked({ itemId: item.id, personId: part.personId }));
    playTied();
    const whole = wholeToOffer(item, me, rows);
    const first = othersWhoDid(item, rows, me);
    if (whole) {
      return submit('part.checkOff', payload, {
        ownRefusal: answer !== undefined,
        words: t('said.lastStep', { title: whole.item.title }),
        offer: { words: t('said.checkWhole'), commands: [{ name: 'part.checkOff', payload: { item: whole.item.id, person: whole.part.personId } }] },
      });
    }
    const someoneElse = part.personId !== me.id && part.personId !== null;
    const words = someoneElse ? t('said.tiedFor', { name: nameOf(rows, part.personId) }) : first ? undefined : sayProgress(item, rows);
    return submit('part.checkOff', payload, { words, undo: true, ownRefusal: answer !== undefined });
  };
}

/** The part of an item that a tap of mine ties, and the tap. */
export function useMyKnot(item: Item): { mine: Part | null; tie: () => void } {
  const { rows, me } = useHouseAsItIs();
  const tie = useTie();
  const mine = partToTie(item, rows.by('part', 'itemId', item.id), me, rows);
  return { mine, tie: () => mine && tie(item, mine) };
}

function sayProgress(item: Item, rows: Reader): string {
  const { done, of } = progressOf(item, rows.by('part', 'itemId', item.id));
  return of > 1 ? t('said.checkedOf', { title: item.title, done: done + 1, of }) : t('said.checked', { title: item.title });
}

function othersWhoDid(item: Item, rows: Reader, me: Person): boolean {
  const parts = rows.by('part', 'itemId', item.id);
  return item.policy === 'any' && isDone(item, parts) && parts.some((part) => part.standing === 'completed' && part.personId !== me.id);
}

/** Ticking the last open step asks whether the whole is done. */
function wholeToOffer(step: Item, me: Person, rows: Reader): { item: Item; part: Part } | null {
  if (step.parentId === null) return null;
  const parent = rows.find('item', step.parentId);
  if (parent === undefined) return null;
  const parts = rows.by('part', 'itemId', parent.id);
  const others = rows.by('item', 'parentId', parent.id).filter((other) => other.id !== step.id && !other.removedAt);
  if (isDone(parent, parts) || others.some((other) => !isDone(other, rows.by('part', 'itemId', other.id)))) return null;
  const part = partToTie(parent, parts, me, rows);
  return part && part.standing !== 'completed' ? { item: parent, part } : null;
}

/** Puts it on one's own shelf. */
export function useShelve(): (item: Item) => void {
  const submit = useSubmit();
  return (item) => void submit('part.shelve', { items: [item.id] }, { words: t('said.shelved', { title: item.title }), undo: true });
}
