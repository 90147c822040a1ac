import type { Draft } from '@kotiva/core/capture';
import { withContext } from './with-context.ts';

const draft = (more: Partial<Draft> = {}): Draft => ({ title: 'Candles', persons: [], ...more });

test('what the line does not say, the view says', () => {
  expect(withContext(draft(), { list: 'rooms', section: 'today', person: 'leila', plan: '2026-11-24', tags: ['shop', 'wood'] })).toMatchObject({
    list: 'rooms',
    section: 'today',
    persons: ['leila'],
    plan: '2026-11-24',
    tags: ['shop', 'wood'],
  });
});

test.each<[string, Partial<Draft>, object, Partial<Draft>]>([
  ['a list of its own', { list: 'yard' }, { list: 'rooms', section: 'today' }, { list: 'yard', section: undefined }],
  ['a person of its own', { persons: ['noor'] }, { person: 'leila' }, { persons: ['noor'] }],
  ['a deadline is a day: it is not planned for today as well', { due: '2026-11-27' }, { plan: '2026-11-24' }, { plan: undefined, due: '2026-11-27' }],
  ['a day of its own', { plan: '2026-11-27' }, { plan: '2026-11-24' }, { plan: '2026-11-27' }],
  ['the same tag once', { tags: ['Shop'] }, { tags: ['shop'] }, { tags: ['Shop'] }],
])('%s', (_name, own, context, expected) => expect(withContext(draft(own), context)).toMatchObject(expected));
