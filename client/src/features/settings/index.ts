export { MoreScreen } from './more-screen.tsx';
