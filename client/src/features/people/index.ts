export { PersonScreen } from './person-screen.tsx';
