export { WholeScreen as default } from '@/features/views';
