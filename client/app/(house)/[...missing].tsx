export { MissingScreen as default } from '@/features/shell';
