import type { ReactNode } from 'react';
import { Text } from 'react-native';

import type tokens from '../theme/tokens.json';

interface TxtProps {
  readonly children: ReactNode;
  readonly size?: keyof typeof tokens.sizes;
  readonly tone?: 'ink' | 'faded' | 'berry' | 'moss' | 'ochre' | 'brick' | 'onBerry';
  readonly font?: 'sans' | 'sansBold' | 'serif' | 'serifItalic';
  readonly lines?: number;
  /** 1 to 3 for a heading of that level. */
  readonly heading?: 1 | 2 | 3;
  /** Lines up in columns. */
  readonly isFigures?: boolean;
  readonly className?: string;
  readonly testID?: string;
  readonly nativeID?: string;
}

const SIZES = {
  small: 'text-small',
  text: 'text-text',
  strong: 'text-strong',
  title: 'text-title',
  head: 'text-head',
};
const TONES = {
  ink: 'text-ink',
  faded: 'text-faded',
  berry: 'text-berry',
  moss: 'text-moss',
  ochre: 'text-ochre',
  brick: 'text-brick',
  onBerry: 'text-onBerry',
};
const FONTS = {
  sans: 'font-sans',
  sansBold: 'font-sansBold',
  serif: 'font-serif',
  serifItalic: 'font-serifItalic',
};

/**
 * Text in one of the five sizes, the tones and the two faces of the look. It stands at the left like all of the page, in
 * whatever direction it is read; a text of sentences says `text-start`, to begin at its own side.
 */
export function Txt(props: TxtProps) {
  const { size = 'text', tone = 'ink', font = 'sans', lines, heading, isFigures, className = '' } = props;
  return (
    <Text
      className={`text-left ${SIZES[size]} ${TONES[tone]} ${FONTS[font]} ${isFigures ? 'tabular-nums' : ''} ${className}`}
      {...(lines === undefined ? {} : { numberOfLines: lines })}
      {...(heading === undefined ? {} : { role: 'heading' as const, 'aria-level': heading })}
      {...(props.testID === undefined ? {} : { testID: props.testID })}
      {...(props.nativeID === undefined ? {} : { nativeID: props.nativeID })}
    >
      {props.children}
    </Text>
  );
}
