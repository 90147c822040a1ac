export { AsPersonScreen } from './as-person-screen.tsx';
