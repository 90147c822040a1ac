import { addWords } from '@/words/add-words.ts';
import { filesWords } from '@/words/en/files.ts';
import { glanceWords } from '@/words/en/glance.ts';
import { itemPanelsWords } from '@/words/en/item-panels.ts';
import { notesWords } from '@/words/en/notes.ts';

/** What opens over a screen or below a row: fetched together once a screen is drawn, see `fetched.ts`. */
export { Decisions } from './decisions.tsx';
export { DuePanel } from './due-panel.tsx';
export { Glance } from './glance.tsx';
export { HandToSheet } from './hand-to-sheet.tsx';
export { NotesField } from './notes-field.tsx';
export { FormattedText as NotesText } from '@/ui/formatted-text.tsx';
export { OpenItem } from './open-item-sheet.tsx';
export { PassOnPanel } from './pass-on-panel.tsx';
export { PeoplePicker } from './people-picker.tsx';
export { PlaceList } from './where-panel.tsx';
export { ToPerson } from './to-person.tsx';
export { attachShared, Files, FilesOnTheirWay } from '@/features/attachments';
export { WantedSheet } from './wanted-sheet.tsx';
export { WaitingPanel } from './waiting-panel.tsx';

for (const words of [filesWords, glanceWords, itemPanelsWords, notesWords]) addWords(words);
