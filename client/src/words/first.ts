import { NOTICE_WORDS } from '@kotiva/core/words/en';
import { accountsWords } from './en/accounts.ts';
import { activityWords } from './en/activity.ts';
import { calendarWords } from './en/calendar.ts';
import { captureWords } from './en/capture.ts';
import { choresWords } from './en/chores.ts';
import { commonWords } from './en/common.ts';
import { followupWords } from './en/followup.ts';
import { itemsWords } from './en/items.ts';
import { listsWords } from './en/lists.ts';
import { moreWords } from './en/more.ts';
import { noticesWords } from './en/notices.ts';
import { peopleWords } from './en/people.ts';
import { placesWords } from './en/places.ts';
import { remindersWords } from './en/reminders.ts';
import { shellWords } from './en/shell.ts';
import { toastsWords } from './en/toasts.ts';
import { todayWords } from './en/today.ts';

/**
 * English, but for what is fetched with the screens it is on: whole sentence patterns with named slots. A language is one folder like this, a file for each part of the application.
 *
 * For the writer: as a good app writer would put it to somebody busy. Short, natural, contemporary; read it aloud. The plain word wins; ours
 * are hand over, take it, can’t, ask back, pass on, tie off, nudge, shelf, to sort, fits now, share out, the weave and the stand-in, and no
 * others. One word for one thing on title, button and message (docs/glossary.md). Contractions are welcome. A message says what happened, an
 * error what to do. No exclamation marks, no praise, no codes.
 */
export const first = {
  ...NOTICE_WORDS,
  ...accountsWords,
  ...activityWords,
  ...calendarWords,
  ...captureWords,
  ...choresWords,
  ...commonWords,
  ...followupWords,
  ...itemsWords,
  ...listsWords,
  ...moreWords,
  ...noticesWords,
  ...peopleWords,
  ...placesWords,
  ...remindersWords,
  ...shellWords,
  ...toastsWords,
  ...todayWords,
} as const;
