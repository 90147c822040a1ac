export { CalendarScreen, ItemsInCalendar } from './fetched.ts';
