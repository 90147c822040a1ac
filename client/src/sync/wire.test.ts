/** @jest-environment node */
import { readChanges, readClock, readOutcomes, readPage } from './wire.ts';

const PAGE = { seq: 7, from: 2, more: false, put: [{ noun: 'item', row: { id: 'i', seq: 7, title: 'Oil' } }], evict: [{ noun: 'tag', id: 't' }] };

test('a page as it is sent, with and without beginning anew', () => {
  expect(readPage(PAGE)).toEqual(PAGE);
  expect(readPage({ ...PAGE, reset: true, unheard: 1 })).toEqual({ ...PAGE, reset: true });
  expect(readChanges({ ...PAGE, now: '2026-11-24T10:00:00.000Z' }).now).toBe('2026-11-24T10:00:00.000Z');
});

test('what became of commands', () => {
  const outcomes = [
    { id: 'a', outcome: 'accepted', seq: 3, notes: [] },
    { id: 'b', outcome: 'refused', reason: { code: 'gone', params: {} } },
  ];
  expect(readOutcomes({ now: 'n', outcomes })).toEqual({ now: 'n', outcomes });
});

test.each([
  ['nothing', null],
  ['a list', []],
  ['text', 'page'],
  ['no seq', { ...PAGE, seq: undefined }],
  ['a seq in words', { ...PAGE, seq: '7' }],
  ['no beginning of the window', { ...PAGE, from: undefined }],
  ['nothing put', { ...PAGE, put: null }],
  ['a row without an id', { ...PAGE, put: [{ noun: 'item', row: { seq: 1 } }] }],
  ['a row that is none', { ...PAGE, put: [{ noun: 'item', row: null }] }],
  ['an eviction without a noun', { ...PAGE, evict: [{ id: 't' }] }],
  ['beginning anew in words', { ...PAGE, reset: 'yes' }],
])('a page that is %s is not taken', (_what, sent) => {
  expect(() => readPage(sent)).toThrow(TypeError);
});

test('nor an answer that says neither', () => {
  expect(() => readOutcomes({ now: 'n', outcomes: [{ id: 'a', outcome: 'maybe' }] })).toThrow(TypeError);
  expect(() => readOutcomes({ outcomes: [] })).toThrow(TypeError);
  expect(() => readChanges(PAGE)).toThrow('now is no text');
  expect(() => readClock({})).toThrow(TypeError);
});
