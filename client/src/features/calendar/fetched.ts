import { drawnLater } from '@/features/later';

const screens = () => import('./screens.ts');

export const CalendarScreen = drawnLater(() => screens().then((all) => all.CalendarScreen));
export const ItemsInCalendar = drawnLater(() => screens().then((all) => all.ItemsInCalendar));
