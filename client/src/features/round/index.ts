export { RoundScreen } from './round-screen.tsx';
