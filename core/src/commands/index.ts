/** Deciding commands, with all there are: what a screen needs once something is tapped, and the server always. */
export { decide, Envelope, slicesOfCommand } from './decide.ts';
