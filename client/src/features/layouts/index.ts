export { ItemsBoard, ItemsPriorities, ItemsTable, ItemsTiles } from './fetched.ts';
