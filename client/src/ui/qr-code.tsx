import { View } from 'react-native';
import Svg, { Path } from 'react-native-svg';
import { encode } from 'uqr';

/** Light around it, in modules: ISO/IEC 18004 asks for four. */
const QUIET = 4;

interface QrCodeProps {
  text: string;
  /** What it is, for who can't see it. */
  label: string;
  /** Pixels of a side. */
  size?: number;
}

/** A QR code (ISO/IEC 18004), dark on light by day and by night: cameras read it so. */
export function QrCode({ text, label, size = 200 }: QrCodeProps) {
  const { data } = encode(text, { border: 0 });
  const side = data.length + 2 * QUIET;
  const squares = data.flatMap((row, y) => row.flatMap((dark, x) => (dark ? [`M${x + QUIET} ${y + QUIET}h1v1h-1z`] : [])));
  return (
    <View role="img" aria-label={label} className="self-center overflow-hidden rounded-control bg-[#fff]">
      <Svg width={size} height={size} viewBox={`0 0 ${side} ${side}`} aria-hidden>
        <Path d={squares.join('')} fill="#000" />
      </Svg>
    </View>
  );
}
