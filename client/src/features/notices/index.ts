export { NoticesButton } from './notices.tsx';
export { RingBar } from './ring-bar.tsx';
