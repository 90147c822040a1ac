export { CaptureLine } from './capture-line.tsx';
export { CaptureProvider, useCapture, useCaptureHere, useCaptureIntoPart, type CaptureContext } from './context.tsx';
