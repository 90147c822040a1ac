export { ActivityScreen } from './activity-screen.tsx';
