export { DeviceScreen as default } from '@/features/settings';
