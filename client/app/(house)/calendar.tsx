export { CalendarScreen as default } from '@/features/calendar';
