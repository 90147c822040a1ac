/** Fetched once one of them is opened, or before when nothing else is to do. */
export { CalendarScreen } from './calendar-screen.tsx';
export { ItemsInCalendar } from './items-in-calendar.tsx';
