import { calendarDateOf, standsInOn, waitsForTie, type Item, type Part } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useSubmit } from '@/store/live-house.tsx';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { Button, ConfirmRow, FocusFirst, KnotMark, Menu, type MenuEntry, PersonMark, Txt } from '@/ui';
import { t } from '@/words';
import { sayInstant, sayMoment } from '@/words/dates.ts';
import { WordsAnswer } from './answer-panel.tsx';
import { DuePanel } from './due-panel.tsx';
import { knotOf, nameOf, personOf } from './knot-of.ts';
import { sayNextNudge } from './next-nudge.ts';
import { PassOnPanel } from './pass-on-panel.tsx';
import { sayStanding } from './standing-words.ts';
import { useTie } from './use-check.ts';

interface WhoStandsProps {
  item: Item;
  part: Part;
  canChange: boolean;
  /** Where several gave it: who gave this part. */
  saysGiver: boolean;
  /** Nobody else has a part of it. */
  alone: boolean;
}

/** One person's part: where it stands, their knot, and what its giver can do about it. */
export function WhoStands({ item, part, canChange, saysGiver, alone }: WhoStandsProps) {
  const { rows, me, house } = useOpenHouse();
  const now = useNow();
  const submit = useSubmit();
  const tie = useTie();
  const [open, setOpen] = useState<'pass' | 'send-back' | 'day' | 'again' | null>(null);
  const person = personOf(rows, part.personId);
  if (!person) return null;
  const own = part.personId === me.id;
  const standsIn = !own && [part.giverId, part.originId].some((id) => id !== null && standsInOn(calendarDateOf(now, house.zone), me.id, id, rows));
  const isGiver = part.giverId === me.id || part.originId === me.id || standsIn;
  const mayTie = (canChange && (isGiver || me.role === 'manager')) || standsIn;
  const waits = waitsForTie(item, part);
  const reason = reasonOf(part);
  const mayNudge = (canChange || standsIn) && !own && part.standing !== 'completed' && !part.passedTo && !part.excusedAt;
  // what somebody declined offers it below already
  const isToPass = alone && isGiver && !own && canChange && part.standing !== 'completed' && part.standing !== 'declined' && !part.passedTo;
  const entries = menuEntries();

  function reasonOf({ id, standing }: Part): string | null {
    if (standing !== 'declined' && standing !== 'tentative') return null;
    const kind = standing === 'declined' ? 'reason' : 'question';
    const said = rows
      .by('comment', 'itemId', item.id)
      .filter((comment) => comment.partId === id && comment.kind === kind && !comment.removedAt)
      .sort((a, b) => (a.at < b.at ? 1 : -1))[0];
    return said ? said.text : null;
  }

  /** The day that came with the handover, as its person has it now. */
  function plans(): string | null {
    if (own || !part.plan || part.standing === 'completed' || part.passedTo) return null;
    return t('part.plansFor', { when: sayMoment(part.plan, now, house.zone) });
  }

  function setDay(plan: string | null): void {
    const words = plan ? t('said.daySet', { name: person!.name, when: sayMoment(plan, now, house.zone) }) : t('said.dayCleared', { name: person!.name });
    if (!submit('part.planFor', { item: item.id, person: person!.id, plan }, { words, undo: true })) setOpen(null);
  }

  /** For who follows it: when that person was last asked, and when next. */
  function asked(): string | null {
    if (!isGiver || own) return null;
    const last = part.nudgedAt && part.standing !== 'completed' ? t('nudge.last', { when: sayInstant(part.nudgedAt, now, house.zone) }) : null;
    return [last, sayNextNudge(part, house, rows, now)].filter(Boolean).join(' · ') || null;
  }

  const askedToday = (): boolean => part.nudgedAt !== null && calendarDateOf(part.nudgedAt, house.zone) === calendarDateOf(now, house.zone);
  function nudge(): void {
    setOpen(null);
    submit('part.nudge', { item: item.id, persons: [person!.id] }, { words: t('said.nudged', { names: person!.name }) });
  }

  function menuEntries(): MenuEntry[] {
    if (part.passedTo) return [];
    const found: MenuEntry[] = [];
    const openPart = part.standing !== 'completed';
    const mayPass = openPart && (own ? me.role === 'manager' || me.role === 'member' || canChange : canChange);
    if (mayPass && !isToPass) found.push({ key: 'pass', words: t('part.passOn'), onPress: () => setOpen('pass') });
    if (!own && openPart && (isGiver || canChange)) found.push({ key: 'day', words: t('part.setDay', { name: person!.name }), onPress: () => setOpen('day') });
    if (!own && mayTie)
      found.push({ key: 'tie', words: t(openPart ? 'part.tieFor' : 'part.untieFor', { name: person!.name }), onPress: () => tie(item, part) });
    if (canChange && !own && openPart) {
      const words = t(part.excusedAt ? 'said.unexcused' : 'said.excused', { name: person!.name });
      found.push({
        key: 'excuse',
        words: t(part.excusedAt ? 'part.unexcuse' : 'part.excuse'),
        onPress: () => void submit('part.excuse', { item: item.id, person: person!.id, excused: !part.excusedAt }, { words, undo: true }),
      });
    }
    if (canChange)
      found.push({
        key: 'back',
        words: t('part.takeBack'),
        onPress: () =>
          void submit('part.takeBack', { item: item.id, persons: [person!.id] }, { words: t('said.takenBack', { name: person!.name }), undo: true }),
      });
    return found;
  }

  return (
    <View className="border-b border-line">
      <View className="min-h-14 flex-row items-center gap-3 py-1">
        <PersonMark looks={person} size={32} />
        <View className="min-w-0 grow shrink basis-0">
          <Txt face="medium">{person.name}</Txt>
          <Txt size={13} tone="muted">
            {[sayStanding(item, part, rows, now, house.zone), plans(), asked()].filter(Boolean).join(' · ')}
          </Txt>
          {reason ? <Txt size={15}>{t('part.quote', { text: reason })}</Txt> : null}
          {saysGiver && part.giverId && part.giverId !== part.personId ? (
            <Txt size={13} tone="muted">
              {t('part.givenBy', { name: nameOf(rows, part.giverId) })}
            </Txt>
          ) : null}
        </View>
        {mayNudge && !isToPass ? (
          <Button kind="quiet" label={t('nudge.person', { name: person.name })} onPress={() => (askedToday() ? setOpen('again') : nudge())}>
            {t('nudge.nudge')}
          </Button>
        ) : null}
        {entries.length > 0 ? <Menu label={t('part.more', { name: person.name })} entries={entries} /> : null}
        <View className="h-11 w-11 items-center justify-center">
          <KnotMark state={knotOf(item, part)} colour={person.colour} />
        </View>
      </View>
      {isToPass && open === null ? (
        <View className="flex-row flex-wrap gap-2 pb-3">
          {mayNudge ? <Button onPress={() => (askedToday() ? setOpen('again') : nudge())}>{t('nudge.nudge')}</Button> : null}
          <Button onPress={() => setOpen('pass')}>{t('part.passOn')}</Button>
        </View>
      ) : null}
      {waits && mayTie && open === null ? (
        <View className="flex-row gap-2 pb-3">
          <Button
            kind="main"
            onPress={() => submit('part.tieOff', { item: item.id, person: person.id }, { words: t('said.tied', { name: person.name }), undo: true })}
          >
            {t('part.tieOff')}
          </Button>
          <Button onPress={() => setOpen('send-back')}>{t('part.sendBack')}</Button>
        </View>
      ) : null}
      {part.standing === 'declined' && !part.passedTo && canChange && open === null ? (
        <View className="flex-row pb-3">
          <Button onPress={() => setOpen('pass')}>{t('part.passOn')}</Button>
        </View>
      ) : null}
      {open === 'send-back' ? (
        <View className="pb-3">
          <WordsAnswer
            place={`send-back/${item.id}/${person.id}`}
            label={t('part.sendBackWhy', { name: person.name })}
            verb={t('part.sendBack')}
            needed
            onDone={() => setOpen(null)}
            send={(reason) =>
              submit('part.sendBack', { item: item.id, person: person.id, reason }, { words: t('said.sentBack', { name: person.name }), undo: true })
            }
          />
        </View>
      ) : null}
      {open === 'again' ? (
        <View className="gap-2 pb-3">
          <Txt size={15} tone="waits">
            {t('nudge.askedToday')}
          </Txt>
          <ConfirmRow verb={t('nudge.again')} onConfirm={nudge} cancel={t('common.cancel')} onCancel={() => setOpen(null)} />
        </View>
      ) : null}
      {open === 'day' ? (
        <View className="pb-3">
          <DuePanel of={`plan/${part.id}`} due={part.plan} onSave={setDay} onClose={() => setOpen(null)} verb={t('plan.set')} none={t('plan.none')} />
        </View>
      ) : null}
      {open === 'pass' ? (
        <FocusFirst>
          <PassOnPanel item={item} from={person.id} onDone={() => setOpen(null)} />
        </FocusFirst>
      ) : null}
    </View>
  );
}
