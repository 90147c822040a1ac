export { FollowUpScreen } from './follow-up-screen.tsx';
