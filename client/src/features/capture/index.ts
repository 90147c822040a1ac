export { CaptureLine } from './capture-line.tsx';
export { CaptureProvider, useCapture, type CaptureContext } from './context.tsx';
