import { COLOURS, FOLLOW_UP_GROUPS, LIST_ICONS, PATTERNS, REASON_CODES } from '@kotiva/core';
import { NoticeKind } from '@kotiva/core/schemas';
import { KNOT_STATES } from '@/ui';
import { en } from '@/words/en.ts';
import { hasWord } from '@/words';

/** Slots but the number itself: one need not be counted. */
const slotsOf = (sentence: string): string[] =>
  [...sentence.matchAll(/\{(\w+)\}/g)]
    .map((found) => found[1]!)
    .filter((slot) => slot !== 'count')
    .sort();

test.each([
  ['reason', REASON_CODES],
  ['notice', NoticeKind.def.entries ? Object.keys(NoticeKind.def.entries) : []],
  ['knot', KNOT_STATES],
  ['follow.group', FOLLOW_UP_GROUPS],
  ['icon', LIST_ICONS],
  ['colour', COLOURS],
  ['pattern', PATTERNS],
] as const)('every %s has its words', (prefix, codes) => {
  expect(codes.length).toBeGreaterThan(0);
  expect(codes.filter((code) => !hasWord(`${prefix}.${code}`))).toEqual([]);
});

test('a plural has both its forms, with the same slots', () => {
  const catalogue = en as Record<string, string>;
  const wrong = Object.keys(catalogue).filter((key) => {
    const base = /^(.*)_(one|other)$/.exec(key)?.[1];
    if (!base) return false;
    const [one, other] = [catalogue[`${base}_one`], catalogue[`${base}_other`]];
    return one === undefined || other === undefined || slotsOf(one).join() !== slotsOf(other).join();
  });
  expect(wrong).toEqual([]);
});

test('no sentence shouts', () => {
  expect(Object.values(en).filter((sentence) => sentence.includes('!'))).toEqual([]);
});
