import { later } from './later.ts';

/**
 * How commands are decided on this device. With the schemas they are read by they draw nothing, so that the first screen doesn't wait
 * for them.
 */
export const deciding = later(() => import('./decide.ts').then(({ decide }) => decide));
