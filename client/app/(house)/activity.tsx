export { ActivityScreen as default } from '@/features/activity';
