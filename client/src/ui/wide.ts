import { useWindowDimensions } from 'react-native';

/** From here on a screen shows what a phone cannot. */
const WIDE_FROM = 900;

export const useWide = (): boolean => useWindowDimensions().width >= WIDE_FROM;
