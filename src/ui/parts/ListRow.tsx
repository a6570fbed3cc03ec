import type { ReactNode } from 'react';
import { Pressable, View } from 'react-native';

import { useTypeScale } from '../theme/ThemeProvider';
import { linkProps } from './linkProps';
import { Txt } from './Txt';

/** Width in px that a stamp lying on its side takes, so that names stand under each other. */
const STAMP_WIDTH = 45;

interface ListRowProps {
  readonly title: string;
  readonly second?: string;
  readonly stamp: ReactNode;
  readonly onPress: () => void;
  /** The row that is open, or that Enter would open. */
  readonly isChosen?: boolean;
  readonly role?: 'link' | 'option';
  /** Where a link leads. */
  readonly href?: string;
  readonly nativeID?: string;
  /** Whether the tab key stops here; in a long list it does at one row only. */
  readonly isTabStop?: boolean;
}

/** A line of a list: stamp, name in the serif, second line; a hairline under it. */
export function ListRow({
  title,
  second = '',
  stamp,
  onPress,
  isChosen = false,
  role = 'link',
  href,
  nativeID,
  isTabStop = true,
}: ListRowProps) {
  return (
    <Pressable
      role={role}
      tabIndex={isTabStop ? 0 : -1}
      aria-label={second === '' ? title : `${title}, ${second}`}
      {...(role === 'option' ? { 'aria-selected': isChosen } : {})}
      {...(nativeID === undefined ? {} : { nativeID })}
      {...(href === undefined ? { onPress } : linkProps(href, onPress))}
      className={`min-h-[61px] flex-row items-center gap-4 border-b border-rule py-2 pl-1 pr-2 active:bg-leaf ${isChosen ? 'bg-leaf' : 'hover:bg-leaf/60'}`}
    >
      <View className="items-center" style={{ width: STAMP_WIDTH * useTypeScale() }}>
        {stamp}
      </View>
      <View className="min-w-0 flex-1">
        <Txt font="serif" size="strong" lines={1}>
          {title}
        </Txt>
        {second === '' ? null : (
          <Txt size="small" tone="faded" lines={1}>
            {second}
          </Txt>
        )}
      </View>
    </Pressable>
  );
}
