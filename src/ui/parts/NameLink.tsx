import { Pressable } from 'react-native';

import { linkProps } from './linkProps';
import { Txt } from './Txt';

interface NameLinkProps {
  readonly label: string;
  readonly href: string;
  readonly onPress: () => void;
  readonly font?: 'sans' | 'serif';
}

/** A name in a line of its own that leads to its card, tall enough for a finger. */
export function NameLink({ label, href, onPress, font = 'sans' }: NameLinkProps) {
  return (
    <Pressable
      role="link"
      aria-label={label}
      {...linkProps(href, onPress)}
      className="min-h-[44px] min-w-[44px] justify-center self-start active:opacity-60"
    >
      <Txt tone="berry" font={font} size={font === 'serif' ? 'strong' : 'text'} className="underline">
        {label}
      </Txt>
    </Pressable>
  );
}
