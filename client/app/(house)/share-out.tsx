export { ShareOutScreen as default } from '@/features/share-out';
