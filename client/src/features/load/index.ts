export { LoadScreen } from './load-screen.tsx';
