export { PhonesScreen } from './phones-screen.tsx';
