import type { Fix } from '@kotiva/core';

/** Where positions come from, as a port. */
export interface Positions {
  /** Looks again and again until the returned function is called. */
  watch(onFix: (fix: Fix) => void, onFault: (fault: 'refused' | 'unknown') => void): () => void;
}

/** A device that lies still tells nothing more by itself: it is asked anew so often, so that a second look confirms the first. */
const ASK_EVERY_MS = 40_000;
const PATIENCE_MS = 30_000;

/** The browser's Geolocation API. */
export const devicePositions: Positions = {
  watch(onFix, onFault) {
    if (!('geolocation' in navigator)) {
      onFault('unknown');
      return () => undefined;
    }
    // asked for a fresh one, an answer is of now; what a device stamps it with is not always of the same clock
    const took = ({ coords }: GeolocationPosition) => onFix({ at: Date.now(), lat: coords.latitude, lon: coords.longitude, accuracy: coords.accuracy });
    const failed = ({ code, PERMISSION_DENIED, TIMEOUT }: GeolocationPositionError) => {
      if (code !== TIMEOUT) onFault(code === PERMISSION_DENIED ? 'refused' : 'unknown');
    };
    const options: PositionOptions = { enableHighAccuracy: true, maximumAge: 0, timeout: PATIENCE_MS };
    const begin = () => navigator.geolocation.watchPosition(took, failed, options);
    let watching = begin();
    const asking = setInterval(() => {
      navigator.geolocation.clearWatch(watching);
      watching = begin();
    }, ASK_EVERY_MS);
    return () => {
      navigator.geolocation.clearWatch(watching);
      clearInterval(asking);
    };
  },
};
