/** Fetched once one of them is opened, or before when nothing else is to do. */
export { FollowUpScreen } from './follow-up-screen.tsx';
export { MyWaits } from './my-waits.tsx';
