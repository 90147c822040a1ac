import Svg, { Path } from 'react-native-svg';
import { ink } from './tokens.ts';

/** The sign of Follow-up: a lozenge on a crossing of two threads. */
export function WovenSign({ on, size = 22 }: { on: boolean; size?: number }) {
  return (
    <Svg width={size} height={size} viewBox="0 0 24 24" aria-hidden>
      <Path
        d="M3 12h5M16 12h5M12 3v5M12 16v5M12 8l4 4-4 4-4-4z"
        stroke={ink(on ? 'pine' : 'muted')}
        strokeWidth={1.75}
        fill="none"
        strokeLinecap="round"
        strokeLinejoin="round"
      />
    </Svg>
  );
}
