export { WorkbenchScreen } from './workbench-screen.tsx';
