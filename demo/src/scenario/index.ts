export { GUESTHOUSE } from './guesthouse.ts';
export { HOME } from './home.ts';
export type { DemoChore, DemoHouse, DemoItem, DemoList, DemoOutsider, DemoPlace, DemoPlaceReminder, DemoProject, DemoTalk, Did } from './shapes.ts';
