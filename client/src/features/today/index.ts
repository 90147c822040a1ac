export { TodayScreen } from './today-screen.tsx';
