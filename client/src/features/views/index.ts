export { ViewRows, ViewScreen, WholeScreen } from './fetched.ts';
