export { CaptureLine } from './capture-line.tsx';
export { CaptureProvider, useCapture, useCaptureHere, type CaptureContext } from './context.tsx';
