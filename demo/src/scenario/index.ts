export { GUESTHOUSE } from './guesthouse.ts';
export { HOME } from './home.ts';
export type { DemoChore, DemoHouse, DemoItem, DemoList, DemoOutsider, DemoPlace, DemoPlaceReminder, DemoTalk, Did } from './shapes.ts';
