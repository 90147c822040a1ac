const ON = 'kotiva/push-here';

/** Notifications were switched on on this device, or off again. */
export function keepPush(on: boolean): void {
  if (on) localStorage.setItem(ON, 'yes');
  else localStorage.removeItem(ON);
}

/** Switched on here, and no longer allowed by the browser: what is sent never shows, and nobody would know. */
export const isPushWithdrawn = (): boolean => localStorage.getItem(ON) !== null && 'Notification' in window && Notification.permission === 'denied';
