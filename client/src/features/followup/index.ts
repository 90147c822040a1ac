export { FollowUpScreen } from './follow-up-screen.tsx';
export { MyWaits } from './my-waits.tsx';
