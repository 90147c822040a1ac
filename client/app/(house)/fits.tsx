export { FitsScreen as default } from '@/features/fits';
