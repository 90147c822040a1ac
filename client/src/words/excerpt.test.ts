import { excerpt } from './excerpt.ts';

test.each([
  ['## What went well\n\n- \n\n- **Quick** ~~and~~ `done`', 'Quick and done'],
  ['Talked about:\n\nDecided:\n', 'Talked about:'],
  ['## What went well\n\n- [ ] ', 'What went well'],
  ['\n\n1. [x] Oars', 'Oars'],
  ['-5 degrees', '-5 degrees'],
  ['', ''],
  ['x'.repeat(5_000), 'x'.repeat(120)],
])('notes %j begin with %j', (notes, said) => expect(excerpt(notes)).toBe(said));
