export { WeeklyReviewScreen } from './weekly-review-screen.tsx';
