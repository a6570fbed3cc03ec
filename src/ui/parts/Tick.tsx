import type { ReactNode } from 'react';
import { Pressable, View } from 'react-native';

import { Square, SquareCheck } from '../icons';
import { useColours } from '../theme/ThemeProvider';
import { keyProps } from './keyProps';

interface TickProps {
  /** For screen readers: what is chosen or not. */
  readonly name: string;
  readonly isOn: boolean;
  readonly onChange: (isOn: boolean) => void;
  readonly children: ReactNode;
  /** A hairline under it. */
  readonly hasLine?: boolean;
  readonly testID?: string;
}

/** One of many lines that can each be chosen; the box is ticked where it is. */
export function Tick({ name, isOn, onChange, children, hasLine = true, testID }: TickProps) {
  const colours = useColours();
  const Box = isOn ? SquareCheck : Square;
  return (
    <Pressable
      role="checkbox"
      aria-checked={isOn}
      aria-label={name}
      onPress={() => onChange(!isOn)}
      {...keyProps({ ' ': () => onChange(!isOn) })}
      {...(testID === undefined ? {} : { testID })}
      className={`min-h-[44px] flex-row items-center gap-3 py-2 hover:bg-leaf active:bg-leaf ${hasLine ? 'border-b border-rule' : ''}`}
    >
      <Box size={20} strokeWidth={1.75} color={isOn ? colours.berry : colours.faded} />
      <View className="min-w-0 flex-1">{children}</View>
    </Pressable>
  );
}
