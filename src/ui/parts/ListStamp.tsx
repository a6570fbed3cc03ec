import { View } from 'react-native';

import { useTypeScale } from '../theme/ThemeProvider';
import { Txt } from './Txt';

interface ListStampProps {
  readonly initials: string;
  readonly size?: 'row' | 'card';
}

/** Height in px of each of the two uprights, and how far the one behind looks out. */
const SIZES = { row: { width: 32, height: 40, out: 5 }, card: { width: 64, height: 80, out: 10 } };

/** The stamp of a list: two uprights, one over the other. It says nothing to a screen reader: the name stands beside it. */
export function ListStamp({ initials, size = 'row' }: ListStampProps) {
  const scale = useTypeScale();
  const { width, height, out } = SIZES[size];
  const box = { width: width * scale, height: height * scale };
  const shift = out * scale;
  return (
    <View aria-hidden style={{ width: box.width + shift, height: box.height + shift }}>
      <View
        style={{ ...box, left: shift, top: 0 }}
        className="absolute rounded-stamp border border-rule bg-paper"
      />
      <View
        style={{ ...box, left: 0, top: shift }}
        className="absolute items-center justify-center overflow-hidden rounded-stamp border border-rule bg-leaf"
      >
        <Txt font="serif" size={size === 'row' ? 'text' : 'head'}>
          {initials}
        </Txt>
      </View>
    </View>
  );
}
