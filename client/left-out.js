import { createContext } from 'react';

/** Stands in the build for what a library brings along and Kotiva never draws: see metro.config.js. */
export default function LeftOut() {
  throw new Error('This part of a library is left out of the build: see metro.config.js.');
}

// what those who bring it along ask of it while they load
export const createNativeStackNavigator = () => ({ Navigator: LeftOut });
export const BottomTabBarHeightContext = createContext(undefined);
export const initScreensFeatureFlags = () => undefined;
