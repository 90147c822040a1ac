import type { Item, Policy } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useGive } from '@/store/live-house.tsx';
import { useNow, usePlace } from '@/store/store.ts';
import { Button, Choice, Tappable, Txt } from '@/ui';
import { either, t, together } from '@/words';
import { sayExactly, sayMoment } from '@/words/dates.ts';
import { DuePanel } from './due-panel.tsx';
import { givenParts, nameOf } from './knot-of.ts';
import { WherePanel } from './where-panel.tsx';

type Open = 'due' | 'policy' | 'where' | 'importance' | null;

/** The item as a sentence; every part of it is tapped to change it. */
export function Sentence({ item, canChange, onHandOver }: { item: Item; canChange: boolean; onHandOver: () => void }) {
  const { rows, house } = usePlace();
  const now = useNow();
  const give = useGive();
  const [open, setOpen] = useState<Open>(null);
  const holders = givenParts(rows, item.id).filter((part) => !part.passedTo && !part.excusedAt);
  const names = holders.map((part) => nameOf(rows, part.personId));
  const toggle = (which: Open) => setOpen(open === which ? null : which);
  const word = (words: string, onPress: () => void, label: string, faint = false) =>
    canChange ? (
      <Tappable onPress={onPress} faint={faint} label={label === words ? undefined : t('sentence.wordLabel', { words, label })}>
        {words}
      </Tappable>
    ) : (
      <Txt size={20} face="medium">
        {words}
      </Txt>
    );
  const list = item.listId ? rows.get('list', item.listId) : null;

  return (
    <View>
      <Txt size={20} className="leading-[34px]">
        {word(
          names.length === 0 ? t('sentence.nobody') : item.policy === 'any' && names.length > 1 ? either(names) : together(names),
          onHandOver,
          t('sentence.changePeople'),
        )}
        {names.length > 1 ? (
          <>
            {', '}
            {word(t(`sentence.${item.policy}`), () => toggle('policy'), t('sentence.changePolicy'))}
          </>
        ) : null}
        {item.due ? (
          <>
            {`, ${t('sentence.by')} `}
            {word(sayMoment(item.due, now, house.zone), () => toggle('due'), t('sentence.changeDue', { when: sayExactly(item.due) }))}
          </>
        ) : null}
        {list && typeof list !== 'string' ? (
          <>
            {`, ${t('sentence.in')} `}
            {word(list.name, () => toggle('where'), t('sentence.changeWhere'))}
          </>
        ) : null}
        {item.importance > 0 ? (
          <>
            {', '}
            {word(t(`importance.${item.importance as 1 | 2 | 3}`), () => toggle('importance'), t('sentence.changeImportance'))}
          </>
        ) : null}
        {item.confirm ? `, ${t('sentence.confirm')}` : ''}
        {'. '}
        {canChange && !item.due ? <>{word(t('sentence.addDue'), () => toggle('due'), t('sentence.addDue'), true)} </> : null}
        {canChange && item.importance === 0 ? <> {word(t('sentence.addImportance'), () => toggle('importance'), t('sentence.addImportance'), true)}</> : null}
        {canChange && !list ? <> {word(t('sentence.addWhere'), () => toggle('where'), t('sentence.addWhere'), true)}</> : null}
      </Txt>
      {open === 'due' ? (
        <DuePanel
          due={item.due}
          onClose={() => setOpen(null)}
          onSave={(due) => {
            if (
              !give(
                'item.setDue',
                { item: item.id, due },
                { words: due ? t('said.due', { when: sayMoment(due, now, house.zone) }) : t('said.noDue'), undo: true },
              )
            )
              setOpen(null);
          }}
        />
      ) : null}
      {open === 'policy' ? <PolicyPanel item={item} onClose={() => setOpen(null)} /> : null}
      {open === 'where' ? <WherePanel item={item} onClose={() => setOpen(null)} /> : null}
      {open === 'importance' ? (
        <View className="my-2 gap-3 rounded-sheet bg-ground p-4">
          <Choice
            label={t('sentence.changeImportance')}
            value={String(item.importance)}
            options={(['0', '1', '2', '3'] as const).map((value) => ({ value, words: t(`importance.${value}`) }))}
            onChange={(value) => {
              if (!give('item.change', { item: item.id, importance: Number(value) })) setOpen(null);
            }}
          />
        </View>
      ) : null}
    </View>
  );
}

function PolicyPanel({ item, onClose }: { item: Item; onClose: () => void }) {
  const give = useGive();
  const set = (policy: Policy) => {
    if (!give('item.setPolicy', { item: item.id, policy }, { words: t(policy === 'each' ? 'policy.eachMeans' : 'policy.anyMeans'), undo: true })) onClose();
  };
  return (
    <View className="my-2 gap-3 rounded-sheet bg-ground p-4">
      <Choice
        label={t('policy.label')}
        value={item.policy}
        onChange={set}
        options={[
          { value: 'each', words: t('policy.each') },
          { value: 'any', words: t('policy.any') },
        ]}
      />
      <Txt size={15} tone="muted">
        {t('policy.eachMeans')} {t('policy.anyMeans')}
      </Txt>
      <Button kind="quiet" onPress={onClose}>
        {t('common.cancel')}
      </Button>
    </View>
  );
}
