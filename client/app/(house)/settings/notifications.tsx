export { NotificationsScreen as default } from '@/features/settings';
