export { ArchivedScreen as default } from '@/features/lists';
