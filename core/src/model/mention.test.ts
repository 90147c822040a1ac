import fc from 'fast-check';
import { mentionBegun, mentionsAt, mentionsIn } from './mention.ts';

const PEOPLE = ['Petri', 'Pet', 'Aino Maria', 'Aino', 'Åsa'].map((name) => ({ id: name, name }));
const named = (text: string) => mentionsIn(text, PEOPLE).map(({ name }) => name);

test('by @ and the name, whatever the case, the longest that fits, each once', () => {
  expect(named('@Petri, which valve? @petri!')).toEqual(['Petri']);
  expect(named('Ask @Aino Maria and (@Aino)')).toEqual(['Aino Maria', 'Aino']);
  expect(named('@åsa')).toEqual(['Åsa']);
  const text = 'İİİ @Petri';
  expect(mentionsAt(text, PEOPLE).map(({ from, to }) => text.slice(from, to))).toEqual(['@Petri']);
});

test('a name that fits nobody is no mention, nor is part of a word, nor an address of mail', () => {
  for (const text of ['@Petrik', '@nobody', 'Petri', 'me@petri.example', '@', '@ Petri', '']) expect(named(text)).toEqual([]);
  // more letters of the name’s own do not make another name
  expect(named('@Pet2')).toEqual([]);
});

test('what is being typed of a name', () => {
  expect(mentionBegun('Ask @Pe')).toBe('Pe');
  expect(mentionBegun('Ask @')).toBe('');
  for (const text of ['Ask @Pe ', 'me@pe', 'Ask', '']) expect(mentionBegun(text)).toBeNull();
});

test('each stands where it says, whatever is around it', () => {
  fc.assert(
    fc.property(
      fc.array(fc.oneof(fc.constantFrom('@', '@Petri', '@Aino', ' ', 'x', '.', 'é', 'İ', '@Pet'), fc.string({ maxLength: 3 })), { maxLength: 12 }),
      (parts) => {
        const text = parts.join('');
        for (const { person, from, to } of mentionsAt(text, PEOPLE)) expect(text.slice(from, to).toLowerCase()).toBe(`@${person.name}`.toLowerCase());
      },
    ),
    { numRuns: 500 },
  );
});

test('200,000 letters take no longer than they are', () => {
  expect(named('@'.repeat(200_000))).toEqual([]);
  expect(named('@Petr '.repeat(30_000))).toEqual([]);
});
