import { create } from 'qrcode';
import Svg, { Path, Rect } from 'react-native-svg';

/** What a code holds and how large it is. */
export interface CodeDrawingProps {
  /** At most 2,331 octets (ISO/IEC 18004, version 40, level M). */
  readonly text: string;
  /** Points of a side. */
  readonly size: number;
}

/** Modules of white around a code that scanners ask for (ISO/IEC 18004). */
const QUIET = 4;

/** The code itself: black on white in both schemes, as scanners want it. */
export function CodeDrawing({ text, size }: CodeDrawingProps) {
  const { modules } = create(text, { errorCorrectionLevel: 'M' });
  const side = modules.size + QUIET * 2;
  const squares = Array.from({ length: modules.size ** 2 }, (_, i) => {
    const [x, y] = [i % modules.size, Math.floor(i / modules.size)];
    return modules.get(y, x) === 1 ? `M${x + QUIET} ${y + QUIET}h1v1h-1z` : '';
  });
  return (
    <Svg width={size} height={size} viewBox={`0 0 ${side} ${side}`}>
      <Rect width={side} height={side} fill="#ffffff" />
      <Path d={squares.join('')} fill="#000000" />
    </Svg>
  );
}
