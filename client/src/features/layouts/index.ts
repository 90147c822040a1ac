export { ItemsBoard, ItemsTable, ItemsTiles } from './fetched.ts';
