export { FollowUpScreen, MyWaits } from './fetched.ts';
