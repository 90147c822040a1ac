/** What is looked for: apart from the rest, so that a screen is drawn before it is there. */
export * from './model/filter.ts';
export * from './views/filter.ts';
export * from './views/kept-matches.ts';
export * from './views/demands.ts';
export * from './views/read-filter.ts';
export * from './views/calendar-filter.ts';
