export { ShareScreen } from './share-screen.tsx';
