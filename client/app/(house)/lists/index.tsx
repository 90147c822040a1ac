export { ListsScreen as default } from '@/features/lists';
