export { YouScreen as default } from '@/features/settings';
