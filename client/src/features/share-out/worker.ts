/// <reference lib="webworker" />
import { shareOut } from '../../../../core/src/planning/share-out.ts';
import type { Asked } from './use-shared-out.ts';

declare const self: DedicatedWorkerGlobalScope;

self.onmessage = ({ data: { carriers, loads } }: MessageEvent<Asked>) => self.postMessage(shareOut(carriers, loads));
