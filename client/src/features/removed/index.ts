export { RemovedScreen } from './removed-screen.tsx';
