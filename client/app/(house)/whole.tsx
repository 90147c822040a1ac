export { WholeScreen as default } from '@/features/whole';
