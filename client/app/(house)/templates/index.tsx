export { TemplatesScreen as default } from '@/features/templates';
