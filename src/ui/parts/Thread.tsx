import { View } from 'react-native';

interface ThreadProps {
  /** How far today is between the last talk and the due day: 0 to 1, more where it is late. */
  readonly share: number;
  /** The same in words: "due in 6 days". */
  readonly label: string;
  readonly width?: number;
}

const KNOT_PX = 7;
/** A late knot runs past the end by as much as this share of the line at most. */
const MOST_LATE = 0.5;

/** How things stand with somebody: a line from the last talk to the due day, a knot for today; past the end when late. */
export function Thread({ share, label, width = 72 }: ThreadProps) {
  const isLate = share > 1;
  const at = Math.max(0, Math.min(share, 1 + MOST_LATE));
  const line = isLate ? width / at : width;
  const knot = Math.max(0, Math.min(width - KNOT_PX, at * line - KNOT_PX / 2));
  return (
    <View role="img" aria-label={label} style={{ width, height: 14 }}>
      <View className="absolute bg-faded" style={{ left: 0, top: 6, height: 2, width: line }} />
      {isLate ? (
        <View className="absolute bg-brick" style={{ left: line, top: 6, height: 2, width: width - line }} />
      ) : (
        <View className="absolute bg-faded" style={{ left: width - 2, top: 2, height: 10, width: 2 }} />
      )}
      <View
        className={`absolute rounded-[2px] ${isLate ? 'bg-brick' : 'bg-moss'}`}
        style={{
          left: knot,
          top: 7 - KNOT_PX / 2,
          height: KNOT_PX,
          width: KNOT_PX,
          transform: [{ rotate: '45deg' }],
        }}
      />
    </View>
  );
}
