export { FindScreen } from './find-screen.tsx';
