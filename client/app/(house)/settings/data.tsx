export { DataScreen as default } from '@/features/settings';
