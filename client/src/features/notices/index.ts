export { NoticesButton } from './notices.tsx';
