const listeners = new Set<() => void>();
let isRenewed = false;

/** How often a page that stays open asks whether there is a new version. */
const ASKED_MS = 60 * 60_000;

/** Keeps the application itself on the device, so that it opens without a network; hears when another version has come. */
export function registerServiceWorker(): void {
  if (process.env.NODE_ENV !== 'production' || !('serviceWorker' in navigator)) return;
  // the first one takes over a page that needs no other
  let had = navigator.serviceWorker.controller !== null;
  navigator.serviceWorker.addEventListener('controllerchange', () => {
    if (had) {
      isRenewed = true;
      for (const listen of listeners) listen();
    }
    had = true;
  });
  void navigator.serviceWorker.register('/sw.js').then(
    (registration) => {
      const ask = () => void registration.update().catch(() => undefined);
      setInterval(ask, ASKED_MS);
      document.addEventListener('visibilitychange', () => document.visibilityState === 'visible' && ask());
    },
    () => undefined,
  );
}

/** Whether a newer version than the one that is open lies on the device. */
export const renewal = {
  has: (): boolean => isRenewed,
  heard(listen: () => void): () => void {
    listeners.add(listen);
    return () => listeners.delete(listen);
  },
};
