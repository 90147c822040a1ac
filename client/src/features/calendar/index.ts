export { CalendarScreen } from './calendar-screen.tsx';
