import { DATE_FIELDS, HAVINGS, MOST_CONDITIONS, MOST_NAMED, MOST_SPAN_DAYS, NO_FILTER, type Filter, type FilterCondition } from '../model/filter.ts';
import { FIELD_NUMBER_MAX } from '../model/own-field.ts';
import { isCalendarDate } from '../model/calendar-date.ts';

/** A filter as it was found somewhere, and how many of its conditions are none that are known here. */
export interface ReadFilter {
  filter: Filter;
  unknown: number;
}

/**
 * Reads a filter that may have been kept by another version, or written into an address by hand: what is known of it stands, the rest is
 * counted. Never fails. Small, so that a screen can read its address before the schemas are there.
 */
export function readFilter(value: unknown): ReadFilter {
  if (!isRecord(value)) return { filter: NO_FILTER, unknown: 0 };
  const given: unknown[] = Array.isArray(value['conditions']) ? value['conditions'].slice(0, MOST_CONDITIONS) : [];
  const conditions = given.filter(isCondition).map((one) => ({ ...one, not: one.not === true }));
  return {
    filter: {
      match: value['match'] === 'any' ? 'any' : 'all',
      state: value['state'] === 'done' || value['state'] === 'both' ? value['state'] : 'open',
      conditions,
    },
    unknown: given.length - conditions.length,
  };
}

/** The same from text, such as a part of an address. */
export function readFilterText(text: string | undefined): ReadFilter {
  try {
    return readFilter(text ? JSON.parse(text) : null);
  } catch {
    return { filter: NO_FILTER, unknown: 0 };
  }
}

type Fields = Record<string, unknown>;
const isRecord = (value: unknown): value is Fields => typeof value === 'object' && value !== null;
const isId = (value: unknown): boolean => typeof value === 'string' && /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i.test(value);
const isWhole = (value: unknown, least: number, most: number): boolean => Number.isInteger(value) && (value as number) >= least && (value as number) <= most;
const isSome = (value: unknown, is: (one: unknown) => boolean): boolean =>
  Array.isArray(value) && value.length > 0 && value.length <= MOST_NAMED && value.every(is);
const isOneOf = (all: readonly unknown[]) => (value: unknown) => all.includes(value);

const isWords = (value: unknown): boolean => typeof value === 'string' && value.trim() !== '' && value.length <= 200;
const isFieldNumber = (value: unknown): boolean => typeof value === 'number' && Math.abs(value) <= FIELD_NUMBER_MAX;

const hasIds = ({ ids }: Fields): boolean => isSome(ids, isId);
const hasWho = ({ who }: Fields): boolean => isSome(who, (one) => one === 'me' || one === 'nobody' || isId(one));

const KNOWN: Record<FilterCondition['of'], (fields: Fields) => boolean> = {
  list: hasIds,
  bundle: hasIds,
  project: hasIds,
  section: hasIds,
  tag: hasIds,
  place: hasIds,
  situation: hasIds,
  person: hasWho,
  giver: hasWho,
  date: ({ field, span }) => isOneOf(DATE_FIELDS)(field) && isRecord(span) && isSpan(span),
  importance: ({ least }) => isWhole(least, 0, 3),
  effort: ({ most }) => most === null || isWhole(most, 1, 60_000),
  energy: ({ levels }) => isSome(levels, isOneOf(['low', 'middle', 'high'])),
  dayPart: ({ parts }) => isSome(parts, isOneOf(['morning', 'day', 'evening'])),
  has: ({ what }) => isOneOf(HAVINGS)(what),
  field: ({ field, asks }) => isId(field) && isRecord(asks) && isFieldAsk(asks),
  words: ({ words }) => isWords(words),
};

function isFieldAsk(asks: Fields): boolean {
  switch (asks['kind']) {
    case 'any':
      return true;
    case 'words':
      return isWords(asks['words']);
    case 'number':
      return [asks['least'], asks['most']].every((end) => end === null || isFieldNumber(end));
    case 'among':
      return hasIds(asks);
    case 'span':
      return isRecord(asks['span']) && isSpan(asks['span']);
    default:
      return false;
  }
}

function isSpan(span: Fields): boolean {
  switch (span['kind']) {
    case 'none':
    case 'any':
    case 'past':
      return true;
    case 'next':
    case 'last':
      return isWhole(span['days'], 0, MOST_SPAN_DAYS);
    case 'week':
      return isWhole(span['weeks'], -520, 520);
    case 'between':
      return isCalendarDate(span['from']) && isCalendarDate(span['to']);
    default:
      return false;
  }
}

const isCondition = (value: unknown): value is FilterCondition =>
  isRecord(value) && typeof value['of'] === 'string' && Object.hasOwn(KNOWN, value['of']) && KNOWN[value['of'] as FilterCondition['of']](value);
