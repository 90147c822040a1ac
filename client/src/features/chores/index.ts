export { ChoreScreen, ChoresScreen } from './fetched.ts';
