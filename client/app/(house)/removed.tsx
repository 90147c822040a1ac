export { RemovedScreen as default } from '@/features/removed';
