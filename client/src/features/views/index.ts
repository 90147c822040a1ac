export { FilterBar, FilterSheet, filterRules, ViewRows, ViewScreen, ViewsOnToday, WholeScreen } from './fetched.ts';
