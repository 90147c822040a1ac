export { WeeklyReviewScreen as default } from '@/features/weekly-review';
