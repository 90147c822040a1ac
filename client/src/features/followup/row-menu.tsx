import { openParts, wasAskedToday, type FollowUp, type Part } from '@kotiva/core';
import { useState } from 'react';
import { DuePanel, nameOf, PassOnPanel } from '@/features/item';
import { useSubmit } from '@/store/live-house.tsx';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { Menu, type MenuEntry } from '@/ui';
import { t } from '@/words';
import { sayMoment } from '@/words/dates.ts';
import { ActionSheet } from './action-sheet.tsx';
import { NudgeSheet } from './nudge.tsx';

type Open = { what: 'extend' | 'nudge' } | { what: 'pass'; from: string };

/** What can be done about something one follows, from its row: asked, given more time, talked about, passed on, excused, dropped. */
export function FollowUpMenu({ followUp }: { followUp: FollowUp }) {
  const { rows, me, house } = useOpenHouse();
  const now = useNow();
  const submit = useSubmit();
  const [open, setOpen] = useState<Open | null>(null);
  const { item, parts } = followUp;
  const title = item.title;
  const held = openParts(parts).filter((part) => part.personId !== me.id);
  const several = held.length > 1;
  const name = (part: Part) => nameOf(rows, part.personId);
  const each = (key: string, one: string, words: (name: string) => string, act: (part: Part) => void): MenuEntry[] =>
    held.map((part) => ({ key: `${key} ${part.id}`, words: several ? words(name(part)) : one, onPress: () => act(part) }));
  const talk = (part: Part) =>
    void submit('matter.add', { person: part.personId!, item: item.id }, { words: t('said.onAgenda', { title, name: name(part) }), undo: true });
  const excuse = (part: Part) =>
    void submit('part.excuse', { item: item.id, person: part.personId!, excused: true }, { words: t('said.excused', { name: name(part) }), undo: true });
  const entries: MenuEntry[] = [
    ...(held.length > 0 ? [{ key: 'nudge', words: t('nudge.now'), onPress: () => setOpen({ what: 'nudge' }) }] : []),
    { key: 'extend', words: t('follow.extend'), onPress: () => setOpen({ what: 'extend' }) },
    ...each('talk', t('follow.talk'), (who) => t('follow.talkWith', { name: who }), talk),
    ...each(
      'pass',
      t('part.passOn'),
      (who) => t('follow.passFrom', { name: who }),
      (part) => setOpen({ what: 'pass', from: part.personId! }),
    ),
    ...each('excuse', t('part.excuse'), (who) => t('follow.excuseOne', { name: who }), excuse),
    {
      key: 'drop',
      words: t('follow.drop'),
      late: true,
      onPress: () => void submit('item.remove', { items: [item.id] }, { words: t('said.dropped', { title }), undo: true }),
    },
  ];
  const extend = (due: string | null) => {
    const words = due ? t('said.due', { when: sayMoment(due, now, house.zone) }) : t('said.noDue');
    if (!submit('item.setDue', { item: item.id, due }, { words, undo: true })) setOpen(null);
  };
  const close = () => setOpen(null);
  if (followUp.group === 'back') return null;
  return (
    <>
      <Menu label={t('row.more', { title })} entries={entries} />
      {open?.what === 'extend' ? (
        <ActionSheet title={t('follow.extendTitle', { title })} onClose={close}>
          <DuePanel of={`due/${item.id}`} due={item.due} onSave={extend} onClose={close} />
        </ActionSheet>
      ) : null}
      {open?.what === 'pass' ? (
        <ActionSheet title={t('follow.passOn', { title })} onClose={close}>
          <PassOnPanel item={item} from={open.from} onDone={close} />
        </ActionSheet>
      ) : null}
      {open?.what === 'nudge' ? <NudgeSheet item={item} parts={held} askedToday={wasAskedToday(followUp, now, house.zone)} onClose={close} /> : null}
    </>
  );
}
