import { Pressable } from 'react-native';

import type { Icon as LucideIcon } from '../icons';
import { useColours } from '../theme/ThemeProvider';
import { outsideLinkProps } from './linkProps';
import { Txt } from './Txt';

interface LinkActProps {
  readonly label: string;
  readonly icon: LucideIcon;
  readonly uri: string;
  /** Told that it has been pressed; what it opens outside opens all the same. */
  readonly onPress?: () => void;
  /** Only where there is no room for the word. */
  readonly iconOnly?: boolean;
}

/** A word with an icon that opens something outside: a call, a message, a map. */
export function LinkAct({ label, icon: Icon, uri, onPress, iconOnly = false }: LinkActProps) {
  const colours = useColours();
  return (
    <Pressable
      role="link"
      aria-label={label}
      {...outsideLinkProps(uri)}
      {...(onPress ? { onPress } : {})}
      className={`min-h-[44px] flex-row items-center gap-2 active:opacity-60 ${iconOnly ? 'min-w-[44px] justify-center' : ''}`}
    >
      <Icon size={20} strokeWidth={1.75} color={colours.berry} />
      {iconOnly ? null : (
        <Txt tone="berry" font="sansBold" lines={1}>
          {label}
        </Txt>
      )}
    </Pressable>
  );
}
