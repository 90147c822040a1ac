/// <reference lib="webworker" />
import { answerVisits, type VisitsAsked } from './visits-question.ts';

declare const self: DedicatedWorkerGlobalScope;

self.onmessage = ({ data }: MessageEvent<VisitsAsked>) => self.postMessage(answerVisits(data));
