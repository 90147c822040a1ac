export { PrivacyScreen as default } from '@/features/privacy';
