import { Image, View } from 'react-native';

import { useTypeScale } from '../theme/ThemeProvider';
import { Txt } from './Txt';

interface StampProps {
  readonly initials: string;
  /** An organisation's stamp lies on its side. */
  readonly isOrg: boolean;
  readonly photo?: string | undefined;
  readonly size?: 'day' | 'row' | 'card';
}

/** Width and height in px: upright 4:5 for a person, 5:4 for an organisation. */
const SIZES = { day: { short: 29, long: 36 }, row: { short: 36, long: 45 }, card: { short: 72, long: 90 } };

/** A portrait, or the initials where there is none. It says nothing to a screen reader: the name stands beside it. */
export function Stamp({ initials, isOrg, photo, size = 'row' }: StampProps) {
  const scale = useTypeScale();
  const [short, long] = [SIZES[size].short * scale, SIZES[size].long * scale];
  const box = isOrg ? { width: long, height: short } : { width: short, height: long };
  return (
    <View
      aria-hidden
      style={box}
      className="items-center justify-center overflow-hidden rounded-stamp border border-rule bg-leaf"
    >
      {photo === undefined ? (
        <Txt font="serif" size={size === 'card' ? 'head' : size === 'row' ? 'text' : 'small'}>
          {initials}
        </Txt>
      ) : (
        <Image source={{ uri: photo }} style={box} resizeMode="cover" />
      )}
    </View>
  );
}
