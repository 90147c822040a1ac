import {
  BadRule,
  calendarDateOf,
  changedFrom,
  choreFault,
  exceptionsAfter,
  nextTurnsIf,
  parseRRule,
  saidOf,
  type Ahead,
  type ChoreHouse,
  type Exception,
  type Reader,
  type Said,
  type Series,
} from '@kotiva/core';
import { View } from 'react-native';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { Txt } from '@/ui';
import { t, together } from '@/words';
import { dayMonth } from '@/words/dates.ts';
import { sayReason } from '@/words/problems.ts';
import { sayRule } from '@/words/rules.ts';
import type { RuleSaid } from './rule-form.ts';

const SHOWN = 6;

export type Preview = { next: Ahead[]; lost: Exception[] } | { says: string };

/** What is there already, and from which of its occurrences or days it is changed. */
export interface Changing {
  series: Series;
  from: string;
}

/** The next six of a chore as it would be, or what is wrong with its rule; and the exceptions that could not be kept. */
export function previewOf(said: RuleSaid & Said, changing: Changing | null, rows: Reader, house: ChoreHouse): Preview {
  const fault = faultOfRule(said);
  if (fault) return { says: fault };
  const fields = saidOf(said);
  const next = { ...PREVIEWED, ...(changing ? changedFrom(changing.series, changing.from, fields, rows, house) : fields) } as Series;
  const { kept, lost } = changing ? exceptionsAfter(changing.series, changing.from, next, rows, house) : { kept: [], lost: [] };
  const coming = nextTurnsIf(next, kept, SHOWN, rows, house);
  return coming.length > 0 ? { next: coming, lost } : { says: t('reason.never-occurs') };
}

/** As usual, and with an id nothing else has. */
const PREVIEWED = { id: 'preview', turn: 'fixed', personIds: [], offDay: 'keep', effort: null, endsBefore: null, followsId: null, stamps: {}, seq: 0 };

function faultOfRule({ rrule, afterDone }: RuleSaid): string | null {
  try {
    if (rrule !== null) parseRRule(rrule);
    const fault = choreFault({ rrule, afterDone });
    return fault ? sayReason({ code: fault, params: {} }) : null;
  } catch (error) {
    if (error instanceof BadRule) return error.message;
    throw error;
  }
}

interface RulePreviewProps {
  said: RuleSaid;
  offDay: Series['offDay'];
  preview: Preview;
}

/** The rule as a sentence, the days it means and whose each is: seen before anything is saved. */
export function RulePreview({ said, offDay, preview }: RulePreviewProps) {
  const { rows, house } = useOpenHouse();
  const today = calendarDateOf(useNow(), house.zone);
  if ('says' in preview) {
    return (
      <Txt role="alert" tone="late">
        {preview.says}
      </Txt>
    );
  }
  const sentence = sayRule({ ...said, offDay });
  return (
    <View className="gap-1" aria-live="polite">
      <Txt face="bold">{sentence.charAt(0).toUpperCase() + sentence.slice(1)}</Txt>
      <Txt size={15} tone="muted">
        {t('rule.next', { days: sayNext(preview.next, today, rows).join(' · ') })}
      </Txt>
      <Lost of={preview.lost} />
    </View>
  );
}

/** Exceptions that a change can't keep, named before it is done. */
export const Lost = ({ of }: { of: readonly Exception[] }) =>
  of.length === 0 ? null : (
    <Txt size={15} tone="waits">
      {t('rule.lost', { count: of.length, which: together(of.slice(0, SHOWN).map(sayException)) })}
    </Txt>
  );

/** "Fri 4 Dec Petri", with the year where it is another than that of the one before, and the hour where one day has several. */
function sayNext(next: readonly Ahead[], today: string, rows: Reader): string[] {
  return next.map(({ series, occurrence: { at }, assigned }, nth) => {
    const before = next[nth - 1]?.occurrence.at ?? today;
    const year = at.slice(0, 4) === before.slice(0, 4) ? '' : ` ${at.slice(0, 4)}`;
    const hour = at.length > 10 && series.rrule?.includes('HOUR') ? ` ${at.slice(11, 16)}` : '';
    const isOwnTurn = assigned.turn.kind === 'turns' || assigned.turn.kind === 'given';
    const who = isOwnTurn ? assigned.personIds.map((id) => nameOf(id, rows)).join(', ') : assigned.turn.kind === 'nobody' ? t('rule.nobodyThen') : '';
    return [`${dayMonth(at)}${year}${hour}`, who].filter(Boolean).join(' ');
  });
}

function nameOf(id: string, rows: Reader): string {
  const person = rows.find('person', id);
  return person === undefined ? '' : person.name;
}

/** "Fri 11 Dec, left out". */
function sayException({ recurrenceId, at, skipped }: Exception): string {
  const date = dayMonth(recurrenceId);
  return skipped ? t('rule.lost.skipped', { date }) : at !== null ? t('rule.lost.moved', { date, to: dayMonth(at) }) : t('rule.lost.given', { date });
}
