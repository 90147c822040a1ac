/// <reference lib="webworker" />
import { expose } from 'comlink';
import { bestRound } from '../../../../core/src/places/round.ts';
import { openOn, readsHours } from './open-on.ts';

/** What takes long, or needs a large library: opening hours and the order of a round. */
const errands = { openOn, readsHours, bestRound };
export type ErrandsWorker = typeof errands;

expose(errands);
