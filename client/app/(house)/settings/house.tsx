export { HouseScreen as default } from '@/features/settings';
