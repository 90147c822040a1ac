export { FitsScreen } from './fits-screen.tsx';
