export { ViewRows, ViewScreen, ViewsOnToday, WholeScreen } from './fetched.ts';
