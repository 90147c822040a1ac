export { addressOf, downloadOf } from './addresses.ts';
export { attachmentsOf, firstPicture } from './of-item.ts';
