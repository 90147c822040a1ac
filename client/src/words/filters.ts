import type { Filter, FilterCondition, Reader, Span } from '@kotiva/core';
import { namedBy, type NamedNoun } from '@kotiva/core/filtering';
import { sayDuration } from './amounts.ts';
import { shortDay } from './dates.ts';
import { sayFieldValue } from './fields.ts';
import { either, t, together } from './index.ts';

/** A filter said in words, a piece for each condition: "#boats or #shore", "Leila’s or nobody’s", "due within 14 days". */

const nameOf = (noun: NamedNoun, id: string, rows: Reader): string => {
  const row = rows.find(noun, id);
  return row === undefined ? t('filter.gone') : row.name;
};

export function sayCondition(condition: FilterCondition, rows: Reader): string {
  const said = plain(condition, rows);
  return condition.not ? t('filter.not', { what: said }) : said;
}

function plain(condition: FilterCondition, rows: Reader): string {
  const named = namedBy(condition);
  const names = (named?.ids ?? []).map((id) => nameOf(named!.noun, id, rows));
  switch (condition.of) {
    case 'tag':
      return either(names.map((name) => `#${name}`));
    case 'list':
    case 'project':
    case 'section':
    case 'bundle':
    case 'place':
    case 'situation':
      return t(`filter.in.${condition.of}`, { names: either(names) });
    case 'person':
      return either(condition.who.map((who) => (who === 'me' ? t('filter.mine') : who === 'nobody' ? t('filter.nobodys') : t('filter.whose', { name: nameOf('person', who, rows) })))); // prettier-ignore
    case 'giver':
      return t('filter.givenBy', { names: either(condition.who.map((who) => (who === 'me' ? t('filter.byMe') : nameOf('person', who, rows)))) });
    case 'date':
      return sayDate(condition);
    case 'importance':
      return t('filter.importance', { importance: t(`importance.${condition.least as 0 | 1 | 2 | 3}`) });
    case 'effort':
      return condition.most === null ? t('filter.effortUnknown') : t('filter.effort', { time: sayDuration(condition.most) });
    case 'energy':
      return t('filter.energy', { levels: either(condition.levels.map((level) => t(`energy.${level}`))) });
    case 'dayPart':
      return either(condition.parts.map((part) => t(`dayPart.${part}`).toLowerCase()));
    case 'has':
      return t(`filter.has.${condition.what}`);
    case 'field':
      return sayFieldCondition(condition, names[0]!, rows);
    case 'words':
      return t('filter.words', { words: condition.words });
  }
}

/** A filter is kept: its days are those of a year. */
const withYear = (date: string): string => `${shortDay(date)} ${date.slice(0, 4)}`;

function sayDate({ field, span }: Extract<FilterCondition, { of: 'date' }>): string {
  if (span.kind === 'none') return t(`filter.none.${field}`);
  if (span.kind === 'any') return t(`filter.any.${field}`);
  if (span.kind === 'past' && field === 'due') return t('filter.late');
  return saySpan(t(`filter.date.${field}`), span);
}

/** What is asked of a field: “Depth 2 to 4”, “Wood: larch or pine”. */
function sayFieldCondition({ field, asks }: Extract<FilterCondition, { of: 'field' }>, name: string, rows: Reader): string {
  switch (asks.kind) {
    case 'any':
      return t('filter.field.any', { name });
    case 'words':
      return t('filter.field.words', { name, words: asks.words });
    case 'number': {
      const [least, most] = [asks.least, asks.most].map((end) => (end === null ? null : String(end)));
      if (least != null && most != null) return t('filter.field.between', { name, least, most });
      return least != null ? t('filter.field.least', { name, least }) : most != null ? t('filter.field.most', { name, most }) : t('filter.field.any', { name });
    }
    case 'among': {
      const row = rows.find('ownField', field);
      const named = asks.ids.map((id) => (row === undefined ? t('filter.gone') : sayFieldValue(id, row, rows) || t('filter.gone')));
      return t('filter.field.among', { name, names: either(named) });
    }
    case 'span':
      return asks.span.kind === 'none' || asks.span.kind === 'any' ? t('filter.field.any', { name }) : saySpan(name, asks.span);
  }
}

function saySpan(what: string, span: Exclude<Span, { kind: 'none' | 'any' }>): string {
  switch (span.kind) {
    case 'past':
      return t('filter.past', { what });
    case 'next':
      return span.days === 0 ? t('filter.today', { what }) : t('filter.next', { what, count: span.days });
    case 'last':
      return span.days === 0 ? t('filter.today', { what }) : t('filter.last', { what, count: span.days });
    case 'week':
      if (Math.abs(span.weeks) <= 1) return t(`filter.week.${span.weeks as -1 | 0 | 1}`, { what });
      return span.weeks > 0 ? t('filter.weeksAhead', { what, count: span.weeks }) : t('filter.weeksAgo', { what, count: -span.weeks });
    case 'between': {
      const [from, to] = [span.from, span.to].sort() as [string, string];
      return t('filter.between', { what, from: withYear(from), to: withYear(to) });
    }
  }
}

/** All of it as one line; without whether open or done where a view has a rule of its own for that. */
export function sayFilter({ match, state, conditions }: Filter, rows: Reader, withState = true): string {
  const said = conditions.map((condition) => sayCondition(condition, rows));
  const asked = said.length === 0 ? [] : [match === 'all' ? together(said) : either(said)];
  if (withState) return [t(`filter.state.${state}`), ...asked].join(', ');
  return asked[0] ?? t('filter.everything');
}
