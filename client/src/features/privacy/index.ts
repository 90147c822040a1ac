export { PrivacyScreen } from './privacy-screen.tsx';
