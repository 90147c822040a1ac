import { calendarDateOf, isDone, progressOf, type Item, type Policy } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useDraft } from '@/store/drafts.ts';
import { useSubmit } from '@/store/live-house.tsx';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { Button, Choice, ConfirmRow, ErrorLine, Field, Heading, Switch, Txt } from '@/ui';
import { t, together } from '@/words';
import { sayReason } from '@/words/problems.ts';
import { DueChoice, useDayWords } from './due-panel.tsx';
import { everyoneIn } from './everyone.ts';
import { relations } from './use-check.ts';
import { givenParts, nameOf, personOf } from './knot-of.ts';
import { useWays } from './ways.tsx';
import { PeoplePicker } from './people-picker.tsx';

interface Handing {
  chosen: string[];
  policy: Policy;
  due: string | null;
  /** The day as it is typed. */
  words: string;
  message: string;
  confirm: boolean;
}

/** To whom, each or any, by when, with what message. */
export function HandOverPanel({ item, onDone }: { item: Item; onDone: () => void }) {
  const { rows, me, house } = useOpenHouse();
  const submit = useSubmit();
  const given = givenParts(rows, item.id);
  const holders = given.filter((part) => !part.passedTo).map((part) => part.personId!);
  const begin: Handing = { chosen: [], policy: given.length > 0 ? item.policy : 'each', due: item.due, words: '', message: '', confirm: item.confirm };
  const [handing, setHanding, done] = useDraft(`hand-over/${item.id}`, begin);
  const change = (some: Partial<Handing>) => setHanding((now) => ({ ...now, ...some }));
  const { policy, due, message, confirm } = handing;
  // who it was to go to may have left, or been given it meanwhile
  const chosen = handing.chosen.filter((id) => personOf(rows, id)?.endedAt === null && !holders.includes(id));
  const setChosen = (next: string[]) => change({ chosen: next });
  const [error, setError] = useState<string | null>(null);
  const several = new Set([...holders, ...chosen]).size > 1;
  const parts = rows.by('part', 'itemId', item.id);
  const reopens = policy === 'each' && isDone(item, parts) && chosen.length > 0;

  const today = calendarDateOf(useNow(), house.zone);
  const ways = useWays([item.listId], chosen);
  const day = useDayWords(handing.words, (words) => change({ words }));
  const inList = item.listId === null ? [] : everyoneIn(item.listId, me, rows).filter((id) => !holders.includes(id) && !chosen.includes(id));

  const finish = () => {
    done();
    onDone();
  };
  const handOver = () => {
    if (chosen.length === 0) return setError(t('hand.chooseSomeone'));
    if (ways.isOpen) return setError(t('ways.first'));
    if (!day.isRead()) return;
    const names = chosen.map((id) => nameOf(rows, id));
    const reason = submit(
      'part.handOver',
      {
        items: [item.id],
        persons: chosen,
        message,
        ...(several ? { policy } : {}),
        ...(due === item.due ? {} : { due }),
        ...(confirm === item.confirm ? {} : { confirm }),
      },
      { words: t('said.handed', { title: item.title, names: together(names) }), undo: true, ownRefusal: true },
    );
    if (reason) return setError(sayReason(reason));
    ways.settle();
    finish();
  };

  return (
    <View className="gap-5 pt-2">
      <Heading level={2}>{t('hand.title', { title: item.title })}</Heading>
      <View className="gap-2">
        <PeoplePicker
          label={t('hand.whom')}
          chosen={chosen}
          without={holders}
          groups={{
            day: due?.slice(0, 10) ?? today,
            // whoever of them gets to it first, unless something else was chosen
            onChoose: (ids) => change({ chosen: [...new Set([...chosen, ...ids])], ...(several ? {} : { policy: 'any' }) }),
          }}
          onToggle={(id) => {
            setError(null);
            setChosen(chosen.includes(id) ? chosen.filter((other) => other !== id) : [...chosen, id]);
          }}
          noteOn={(person) => (person.id !== me.id && relations(item, person, rows).length === 0 ? t('hand.seesOnlyThis') : null)}
        />
        {inList.length > 1 ? (
          <View className="items-start">
            <Button kind="quiet" onPress={() => setChosen([...new Set([...chosen, ...inList])])}>
              {t('hand.everyoneInList', { count: inList.length })}
            </Button>
          </View>
        ) : null}
        {ways.asks}
        <ErrorLine says={error} />
      </View>
      {several ? (
        <View className="gap-2">
          <Choice
            label={t('policy.label')}
            value={policy}
            onChange={(next) => change({ policy: next })}
            options={[
              { value: 'each', words: t('policy.each') },
              { value: 'any', words: t('policy.any') },
            ]}
          />
          <Txt size={15} tone="muted">
            {t(policy === 'each' ? 'policy.eachMeans' : 'policy.anyMeans')}
          </Txt>
        </View>
      ) : null}
      {reopens ? <Txt tone="waits">{t('hand.reopens', { done: progressOf(item, parts).done })}</Txt> : null}
      <Field
        label={t('hand.message')}
        placeholder={t('hand.messageHint')}
        value={message}
        onChangeText={(next) => change({ message: next })}
        multiline
        maxLength={20_000}
      />
      <View className="gap-2">
        <Txt size={15} face="medium" tone="muted">
          {t('due.by')}
        </Txt>
        <DueChoice due={due} onChange={(next) => change({ due: next })} {...day.field} />
      </View>
      <Switch words={t('hand.confirm')} on={confirm} onChange={(next) => change({ confirm: next })} />
      <ConfirmRow verb={t('hand.over')} onConfirm={handOver} cancel={t('common.cancel')} onCancel={finish} />
    </View>
  );
}
