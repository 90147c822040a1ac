export { ShareOutScreen } from './share-out-screen.tsx';
