import { useEffect } from 'react';
import { useOwnPicture } from '@/store/own-picture.ts';
import { usePreferences } from '@/store/preferences.ts';
import { dress } from '@/ui/own-looks.ts';

/** All of Kotiva looks as one has chosen, for as long as one is in the house. */
export function useOwnLooks(): void {
  const { accent, backdrop } = usePreferences();
  const picture = useOwnPicture();
  useEffect(() => dress({ accent, backdrop, picture }), [accent, backdrop, picture]);
  useEffect(() => () => dress({ accent: null, backdrop: null, picture: null }), []);
}
