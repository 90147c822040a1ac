export { LoadScreen as default } from '@/features/load';
