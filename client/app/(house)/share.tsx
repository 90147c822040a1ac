export { ShareScreen as default } from '@/features/share';
