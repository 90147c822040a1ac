export { ChoresScreen } from './chores-screen.tsx';
export { ChoreScreen } from './chore-screen.tsx';
