export { GUESTHOUSE } from './guesthouse.ts';
export { HOME } from './home.ts';
export type { DemoHouse, DemoItem, DemoList, DemoOutsider, DemoTalk, Did } from './shapes.ts';
