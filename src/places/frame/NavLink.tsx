import { Pressable, View } from 'react-native';

import { go } from '@/platform/navigation';
import { type Icon, linkProps, Txt, useColours } from '@/ui';

interface NavLinkProps {
  readonly path: string;
  readonly label: string;
  readonly icon: Icon;
  readonly isHere: boolean;
  /** In the rail the word stands beside the icon, in the bar under it. */
  readonly look: 'rail' | 'bar';
}

/** The way to a place; where one is, is said by colour, by weight and by a line at the edge. */
export function NavLink({ path, label, icon: Glyph, isHere, look }: NavLinkProps) {
  const colours = useColours();
  const isRail = look === 'rail';
  return (
    <Pressable
      role="link"
      aria-current={isHere ? 'page' : undefined}
      {...linkProps(path, () => go(path))}
      className={
        isRail
          ? 'min-h-[44px] flex-row items-center gap-3 pl-[18px] pr-3 hover:bg-leaf'
          : 'min-h-[56px] flex-1 items-center justify-center gap-0.5'
      }
    >
      {isHere ? (
        <View
          className={`absolute bg-berry ${isRail ? 'bottom-0 left-0 top-0 w-[3px]' : 'left-0 right-0 top-0 h-[3px]'}`}
        />
      ) : null}
      <Glyph size={20} strokeWidth={1.75} color={isHere ? colours.berry : colours.faded} />
      <Txt
        size={isRail ? 'text' : 'small'}
        tone={isHere ? 'berry' : 'faded'}
        font={isHere ? 'sansBold' : 'sans'}
      >
        {label}
      </Txt>
    </Pressable>
  );
}
