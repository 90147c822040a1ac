export { WholeScreen } from './whole-screen.tsx';
