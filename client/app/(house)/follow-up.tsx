export { FollowUpScreen as default } from '@/features/followup';
