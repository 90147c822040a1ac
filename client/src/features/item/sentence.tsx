import { doneSince, endOf, isLate, partId, readingsOf, stageOf, type Item, type Part } from '@kotiva/core';
import { Fragment, useEffect, useState } from 'react';
import { View } from 'react-native';
import { slotsFor } from '@/features/slot';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { Button, FocusFirst, Tappable, Txt } from '@/ui';
import { either, t, together } from '@/words';
import { sayHour } from '@/words/customs.ts';
import { sayDone, sayExactly, sayLeft, sayMoment } from '@/words/dates.ts';
import { sayFieldValue } from '@/words/fields.ts';
import { sayRule } from '@/words/rules.ts';
import { choreOf } from './chore-of.ts';
import { givenParts, nameOf } from './knot-of.ts';
import { alarmsSeenBy, sayTriggerFor } from './say-alarm.ts';
import { SentencePanel, type Panel } from './sentence-panels.tsx';
import { partToTie } from './use-check.ts';

interface Phrase {
  panel: Panel | 'people';
  /** Where several stand for one panel. */
  key?: string;
  /** Before the word that is tapped. */
  before?: string;
  words: string;
  label: string;
  /** It came along from elsewhere. */
  isFaint?: boolean;
}

interface SentenceProps {
  item: Item;
  /** The word that is open at once. */
  startsAt?: Panel | null;
  canChange: boolean;
  onHandOver: () => void;
  /** A panel is open, or no longer. */
  onSetting: (isSetting: boolean) => void;
}

/** The item as a sentence; every part of it is tapped to change it, what is missing is added. */
export function Sentence({ item, startsAt, canChange, onHandOver, onSetting }: SentenceProps) {
  const { rows, me } = useOpenHouse();
  const [open, setOpen] = useState<Panel | 'add' | null>(startsAt === 'plan' || canChange ? (startsAt ?? null) : null);
  const isSetting = open !== null && open !== 'add';
  useEffect(() => onSetting(isSetting), [isSetting, onSetting]);
  const held = rows.find('part', partId(item.id, me.id));
  const hasOwn = held !== undefined && held.takenBackAt === null;
  const mine = ownOrNobodys();
  const phrases = usePhrases(item, mine);
  const toggle = (which: Panel | 'add') => setOpen(open === which ? null : which);
  const said = new Set(phrases.map(({ panel }) => panel));
  const readings = readingsOf(item, rows);
  const missing = ADDABLE.filter((panel) => (!said.has(panel) || panel === 'fields') && isOffered(panel));
  const further = missing.filter((panel) => !isUsual(panel));
  function isOffered(panel: Panel): boolean {
    if (panel === 'reminders' || panel === 'slot') return true;
    if (panel === 'fields') return canChange && readings.some(({ value }) => value === null);
    // a step comes again with what it is a step of
    if (panel === 'rule' && item.parentId !== null) return false;
    if (panel === 'waiting') return mine !== null || canChange;
    return panel === 'plan' ? mine !== null : canChange;
  }

  function ownOrNobodys(): Part | null {
    const own = rows.find('part', partId(item.id, me.id));
    if (own !== undefined && !own.takenBackAt) return own.passedTo || own.standing === 'completed' ? null : own;
    const part = partToTie(item, rows.by('part', 'itemId', item.id), me, rows);
    return part?.standing === 'completed' ? null : part;
  }

  return (
    <View>
      <Txt size={20} className="leading-[34px]">
        {phrases.map(({ panel, key, before, words, label, isFaint }, nth) => (
          <Fragment key={key ?? panel}>
            {nth > 0 ? ', ' : ''}
            {before ? `${before} ` : ''}
            {OWN.includes(panel as Panel) || canChange || (panel === 'stage' && hasOwn) ? (
              <Tappable faint={isFaint} label={t('sentence.wordLabel', { words, label })} onPress={() => (panel === 'people' ? onHandOver() : toggle(panel))}>
                {words}
              </Tappable>
            ) : (
              <Txt size={20} face="medium">
                {words}
              </Txt>
            )}
          </Fragment>
        ))}
        {item.confirm ? `, ${t('sentence.confirm')}` : ''}
        {'. '}
      </Txt>
      {missing.length > 0 ? (
        <Txt className="leading-[34px] text-muted">
          {missing.filter(isUsual).map((panel) => (
            <Fragment key={panel}>
              <Tappable faint size={17} label={t(`sentence.panel.${panel}`)} onPress={() => toggle(panel)}>
                {t(`sentence.add.${panel}`)}
              </Tappable>
              {' · '}
            </Fragment>
          ))}
          <Tappable faint size={17} label={t('sentence.addLabel')} onPress={() => toggle('add')}>
            {t('sentence.add')}
          </Tappable>
        </Txt>
      ) : null}
      {open === 'add' ? (
        <View role="group" aria-label={t('sentence.addLabel')} className="my-2 flex-row flex-wrap gap-2">
          {further.map((panel) => (
            <Button key={panel} onPress={() => setOpen(panel)}>
              {t(`sentence.panel.${panel}`)}
            </Button>
          ))}
        </View>
      ) : null}
      {open && open !== 'add' ? (
        <FocusFirst key={open}>
          <SentencePanel panel={open} item={item} part={mine} canChange={canChange} onClose={() => setOpen(null)} />
        </FocusFirst>
      ) : null}
    </View>
  );
}

const ADDABLE: readonly Panel[] = [
  'due',
  'rule',
  'plan',
  'start',
  'effort',
  'energy',
  'importance',
  'tags',
  'place',
  'situations',
  'where',
  'reminders',
  'waiting',
  'dayPart',
  'wanted',
  'slot',
  'fields',
];
/** What is added most: one tap away. */
const USUAL = ['due', 'rule', 'reminders'] as const;
const isUsual = (panel: Panel): panel is (typeof USUAL)[number] => (USUAL as readonly Panel[]).includes(panel);
/** What anyone who sees an item decides for themselves. */
const OWN: readonly Panel[] = ['plan', 'reminders', 'waiting', 'slot'];

function usePhrases(item: Item, mine: Part | null): Phrase[] {
  const { rows, me, house } = useOpenHouse();
  const now = useNow();
  const alarms = alarmsSeenBy(rows, item.id, me.id);
  const holders = givenParts(rows, item.id).filter((part) => !part.passedTo && !part.excusedAt);
  const names = holders.map((part) => nameOf(rows, part.personId));
  const list = item.listId ? rows.find('list', item.listId) : null;
  const place = item.placeId ? rows.find('place', item.placeId) : null;
  const series = choreOf(item, rows);
  const stage = list ? stageOf(item, list, rows.by('part', 'itemId', item.id)) : null;
  const slot = slotsFor(item.id, me.id, rows)[0];
  const named = (noun: 'tag' | 'situation', ids: readonly string[]) =>
    ids.map((id) => rows.find(noun, id)).flatMap((row) => (row === undefined || row.removedAt ? [] : [row.name]));
  const tags = named('tag', item.tagIds).map((name) => `#${name}`);
  const situations = named('situation', item.situationIds);
  const who = names.length === 0 ? t('sentence.nobody') : item.policy === 'any' && names.length > 1 ? either(names) : together(names);

  const phrases: (Phrase | null)[] = [
    { panel: 'people', words: who, label: t('sentence.changePeople') },
    names.length > 1 ? { panel: 'policy', words: t(`sentence.${item.policy}`), label: t('sentence.changePolicy') } : null,
    item.due
      ? {
          panel: 'due',
          before: t('sentence.by'),
          words: withLeft(item.due),
          label: t('sentence.changeDue', { when: sayExactly(item.due) }),
        }
      : null,
    mine?.plan
      ? {
          panel: 'plan',
          before: t('sentence.planned'),
          words: sayMoment(mine.plan, now, house.zone),
          label: t('sentence.changePlan', { when: sayExactly(mine.plan) }),
        }
      : null,
    item.start
      ? {
          panel: 'start',
          before: t('sentence.notBefore'),
          words: sayMoment(item.start, now, house.zone),
          label: t('sentence.changeStart', { when: sayExactly(item.start) }),
        }
      : null,
    series ? { panel: 'rule', words: sayRule(series), label: t('sentence.changeRule') } : null,
    alarms.length > 0
      ? {
          panel: 'reminders',
          before: t('sentence.reminds'),
          words: together(alarms.map((alarm) => sayTriggerFor(alarm, { rows, now, zone: house.zone, me }))),
          label: t('sentence.panel.reminders'),
        }
      : null,
    place ? { panel: 'place', before: t('sentence.at'), words: place.name, label: t('sentence.panel.place') } : null,
    situations.length > 0 ? { panel: 'situations', before: t('sentence.when'), words: together(situations), label: t('sentence.panel.situations') } : null,
    item.effort !== null
      ? { panel: 'effort', before: t('sentence.about'), words: t('chip.effort', { minutes: item.effort }), label: t('sentence.panel.effort') }
      : null,
    item.dayPart ? { panel: 'dayPart', words: t(`sentence.dayPart.${item.dayPart}`), label: t('sentence.panel.dayPart') } : null,
    slot
      ? {
          panel: 'slot',
          before: t('sentence.booked'),
          words: t('sentence.slot', {
            when: sayMoment(slot.start, now, house.zone),
            to: sayHour(endOf({ time: slot.start.slice(11, 16), minutes: slot.minutes })),
          }),
          label: t('slot.change'),
        }
      : null,
    item.wanted ? { panel: 'wanted', before: t('sentence.asksFor'), words: item.wanted.what, label: t('sentence.panel.wanted') } : null,
    item.energy ? { panel: 'energy', words: t(`energy.${item.energy}`), label: t('sentence.panel.energy') } : null,
    list ? { panel: 'where', before: t('sentence.in'), words: list.name, label: t('sentence.changeWhere') } : null,
    stage ? { panel: 'stage', before: t('sentence.stage'), words: stage.name, label: t('sentence.panel.stage') } : null,
    ...readingsOf(item, rows).map(({ field, value, isFaint }): Phrase | null =>
      value === null
        ? null
        : {
            panel: 'fields',
            key: field.id,
            before: t('sentence.field', { name: field.name }),
            words: sayFieldValue(value, field, rows),
            label: t('sentence.panel.fields'),
            isFaint,
          },
    ),
    item.importance > 0 ? { panel: 'importance', words: t(`importance.${item.importance as 1 | 2 | 3}`), label: t('sentence.changeImportance') } : null,
    tags.length > 0 ? { panel: 'tags', words: tags.join(' '), label: t('sentence.panel.tags') } : null,
  ];
  return phrases.filter((phrase) => phrase !== null);

  /** The day, and how long that is from now where the day alone does not tell. */
  function withLeft(due: string): string {
    const day = sayMoment(due, now, house.zone);
    const done = doneSince(item, rows.by('part', 'itemId', item.id));
    // what is done is never late any more: it says how it came out
    if (done !== null) return t('sentence.dayAndLeft', { day, left: sayDone(due, done, house.zone) });
    const left = sayLeft(due, isLate(item, now, house.zone), now, house.zone);
    return left === day ? day : t('sentence.dayAndLeft', { day, left });
  }
}
