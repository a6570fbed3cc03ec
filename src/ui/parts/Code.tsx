import { View } from 'react-native';
import Svg, { Path, Rect } from 'react-native-svg';

interface CodeProps {
  /** Rows of the code from the top, dark modules true. */
  readonly rows: readonly (readonly boolean[])[];
  /** For screen readers: what it holds. */
  readonly name: string;
  /** Points of the longer side. */
  readonly size: number;
}

/** Modules of white around a code that scanners ask for (ISO/IEC 18004). */
const QUIET = 4;

/** A code for scanners: black on white in both schemes, as scanners want it. */
export function Code({ rows, name, size }: CodeProps) {
  const side = rows.length + QUIET * 2;
  const path = rows
    .flatMap((row, y) => row.flatMap((isDark, x) => (isDark ? [`M${x + QUIET} ${y + QUIET}h1v1h-1z`] : [])))
    .join('');
  return (
    <View role="img" aria-label={name}>
      <Svg width={size} height={size} viewBox={`0 0 ${side} ${side}`}>
        <Rect width={side} height={side} fill="#ffffff" />
        <Path d={path} fill="#000000" />
      </Svg>
    </View>
  );
}
