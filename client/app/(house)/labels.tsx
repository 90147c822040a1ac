export { LabelsScreen as default } from '@/features/settings';
