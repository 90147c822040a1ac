export { MoreScreen as default } from '@/features/more';
