export { ShelfScreen as default } from '@/features/more';
