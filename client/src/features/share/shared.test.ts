import { sharedItem } from './shared.ts';

test.each([
  [
    { title: 'Price of moss', url: 'https://example.org/moss' },
    { title: 'Price of moss', notes: 'https://example.org/moss' },
  ],
  [{ text: 'Two straps are torn\nask the sailmaker' }, { title: 'Two straps are torn', notes: 'ask the sailmaker' }],
  [{ url: 'https://example.org/moss' }, { title: 'https://example.org/moss', notes: undefined }],
  [
    { title: 'Moss', text: 'Moss\nhttps://example.org/moss', url: 'https://example.org/moss' },
    { title: 'Moss', notes: 'https://example.org/moss' },
  ],
  [{ title: ' ', text: '\n' }, null],
  [{}, null],
])('%o', (shared, item) => expect(sharedItem(shared)).toEqual(item));

test('nothing of a long text is lost', () => {
  const text = 'x'.repeat(900);
  expect(sharedItem({ text })).toEqual({ title: 'x'.repeat(500), notes: text });
});
