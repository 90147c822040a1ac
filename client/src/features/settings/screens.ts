import { addWords } from '@/words/add-words.ts';
import { settingsWords } from '@/words/en/settings.ts';

/** Fetched once one of them is opened, or before when nothing else is to do. */
export { PeopleScreen } from './people-screen.tsx';
export { DataScreen, DeviceScreen, HouseScreen, LabelsScreen, NotificationsScreen, YouScreen } from './settings-screens.tsx';

addWords(settingsWords);
