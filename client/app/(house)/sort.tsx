export { SortScreen as default } from '@/features/sort';
