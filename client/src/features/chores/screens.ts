/** Fetched once one of them is opened, or before when nothing else is to do. */
export { ChoreScreen } from './chore-screen.tsx';
export { ChoresScreen } from './chores-screen.tsx';
