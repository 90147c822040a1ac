export { StretchesBack } from './fetched.ts';
export { StretchHere } from './stretch-here.tsx';
