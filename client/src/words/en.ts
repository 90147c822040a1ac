import { filesWords } from './en/files.ts';
import { filtersWords } from './en/filters.ts';
import { glanceWords } from './en/glance.ts';
import { layoutsWords } from './en/layouts.ts';
import { lookingBackWords } from './en/looking-back.ts';
import { notesEditorWords } from './en/notes-editor.ts';
import { notesWords } from './en/notes.ts';
import { sketchWords } from './en/sketch.ts';
import { weeklyReviewWords } from './en/weekly-review.ts';
import { itemPanelsWords } from './en/item-panels.ts';
import { settingsWords } from './en/settings.ts';
import { ruleWords } from './en/rule.ts';
import { placeScreensWords } from './en/place-screens.ts';
import { followUpScreenWords } from './en/follow-up-screen.ts';
import { listScreensWords } from './en/list-screens.ts';
import { templatesWords } from './en/templates.ts';
import { stretchWords } from './en/stretch.ts';
import { projectsWords } from './en/projects.ts';
import { fieldsWords } from './en/fields.ts';
import { reasonsWords } from './en/reasons.ts';
import { first } from './first.ts';

/** All of it, as a translator and the tests have it. On a device only what comes first is there at once: see `add-words.ts`. */
export const en = {
  ...first,
  ...filesWords,
  ...filtersWords,
  ...glanceWords,
  ...layoutsWords,
  ...lookingBackWords,
  ...notesEditorWords,
  ...notesWords,
  ...sketchWords,
  ...weeklyReviewWords,
  ...itemPanelsWords,
  ...settingsWords,
  ...ruleWords,
  ...placeScreensWords,
  ...followUpScreenWords,
  ...listScreensWords,
  ...templatesWords,
  ...projectsWords,
  ...stretchWords,
  ...fieldsWords,
  ...reasonsWords,
} as const;
