export { LookingBackScreen } from './looking-back-screen.tsx';
