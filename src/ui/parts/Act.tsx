import { Pressable } from 'react-native';

import type { Icon as LucideIcon } from '../icons';
import { useColours } from '../theme/ThemeProvider';
import { Txt } from './Txt';

interface ActProps {
  readonly label: string;
  readonly icon?: LucideIcon;
  readonly onPress: () => void;
  readonly tone?: 'berry' | 'ink' | 'faded' | 'brick';
  /** Only where there is no room for the word. */
  readonly iconOnly?: boolean;
  /** For screen readers, where the word alone does not say enough. */
  readonly name?: string;
  readonly isDisabled?: boolean;
  readonly testID?: string;
}

/** A word that does something, with its icon; at least 44 px high. */
export function Act(props: ActProps) {
  const {
    label,
    icon: Icon,
    onPress,
    tone = 'berry',
    iconOnly = false,
    name,
    isDisabled = false,
    testID,
  } = props;
  const colours = useColours();
  return (
    <Pressable
      role="button"
      aria-label={name ?? label}
      disabled={isDisabled}
      onPress={onPress}
      {...(testID === undefined ? {} : { testID })}
      className={`min-h-[44px] flex-row items-center gap-2 active:opacity-60 min-w-[44px] ${iconOnly ? 'justify-center' : ''} ${isDisabled ? 'opacity-50' : ''}`}
    >
      {Icon ? <Icon size={20} strokeWidth={1.75} color={colours[tone]} /> : null}
      {iconOnly ? null : (
        <Txt tone={tone} font="sansBold" lines={1}>
          {label}
        </Txt>
      )}
    </Pressable>
  );
}

interface NextActProps {
  readonly label: string;
  readonly icon?: LucideIcon;
  readonly onPress: () => void;
  readonly isDisabled?: boolean;
  readonly testID?: string;
}

/** The one next act of a page, on the strong colour. */
export function NextAct({ label, icon: Icon, onPress, isDisabled = false, testID }: NextActProps) {
  const colours = useColours();
  return (
    <Pressable
      role="button"
      aria-label={label}
      disabled={isDisabled}
      onPress={onPress}
      {...({ dataSet: { next: '' } } as object)}
      {...(testID === undefined ? {} : { testID })}
      className={`min-h-[44px] flex-row items-center justify-center gap-2 rounded-[4px] bg-berry px-4 active:opacity-80 ${isDisabled ? 'opacity-50' : ''}`}
    >
      {Icon ? <Icon size={20} strokeWidth={1.75} color={colours.onBerry} /> : null}
      <Txt tone="onBerry" font="sansBold" lines={1}>
        {label}
      </Txt>
    </Pressable>
  );
}
