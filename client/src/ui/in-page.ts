import type { RefObject } from 'react';
import type { View } from 'react-native';

/** On the web a view is an element of the page; its type knows only what it is on every platform. */
export const inPage = (view: RefObject<View | null>): HTMLElement | null => view.current as unknown as HTMLElement | null;
