export { WorkbenchScreen as default } from '@/features/workbench';
