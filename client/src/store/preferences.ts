import { preferencesId, type Preferences } from '@kotiva/core';
import { useOpenHouse } from './store.ts';

const USUAL = { accent: null, backdrop: null, review: null } as const satisfies Partial<Preferences>;

/** What one has chosen for oneself, on every device. */
export function usePreferences(): Pick<Preferences, keyof typeof USUAL> {
  const { rows, me } = useOpenHouse();
  return rows.find('preferences', preferencesId(me.id)) ?? USUAL;
}
