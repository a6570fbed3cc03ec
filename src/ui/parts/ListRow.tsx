import type { ReactNode } from 'react';
import { type GestureResponderEvent, Pressable, Text, View } from 'react-native';

import { Square, SquareCheck } from '../icons';
import { useColours, useTypeScale } from '../theme/ThemeProvider';
import { isShiftPress, linkProps } from './linkProps';
import { Txt } from './Txt';

/** Width in px that a stamp lying on its side takes, so that names stand under each other. */
const STAMP_WIDTH = 45;

interface ListRowProps {
  readonly title: string;
  /** Of the title; a name needs one, what would be done may need more. */
  readonly titleLines?: number;
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
  /** Whether it is among those chosen, where rows are for choosing: the row is a box to tick then. */
  readonly isTicked?: boolean | undefined;
  /** A press that goes on from the one before it, with Shift held. */
  readonly onShiftPress?: () => void;
  readonly onLongPress?: () => void;
  /** Whether a hairline ends the row; not where more of the same entry follows under it. */
  readonly hasLine?: boolean;
  /** Stands at the end of the row: a mark of its tags, say. */
  readonly end?: ReactNode;
  /** What the end says, in words. */
  readonly endName?: string;
  /** Takes a text of the row apart into what was looked for and the rest. */
  readonly mark?: (text: string) => readonly MarkedPiece[];
}

/** A piece of a text, and whether it is what was looked for. */
interface MarkedPiece {
  readonly text: string;
  readonly isMarked: boolean;
}

/** A line of a list: stamp, name in the serif, second line; a hairline under it. */
export function ListRow({
  title,
  titleLines = 1,
  second = '',
  stamp,
  onPress,
  isChosen = false,
  role = 'link',
  href,
  nativeID,
  isTabStop = true,
  isTicked,
  onShiftPress,
  onLongPress,
  mark,
  hasLine = true,
  end,
  endName = '',
}: ListRowProps) {
  const isForChoosing = isTicked !== undefined;
  const press = (event: GestureResponderEvent) => {
    if (onShiftPress && isShiftPress(event)) onShiftPress();
    else onPress();
  };
  return (
    <Pressable
      role={isForChoosing ? 'checkbox' : role}
      tabIndex={isTabStop ? 0 : -1}
      aria-label={[title, second, endName].filter(Boolean).join(', ')}
      {...(isForChoosing ? { 'aria-checked': isTicked } : {})}
      {...(role === 'option' ? { 'aria-selected': isChosen } : {})}
      {...(nativeID === undefined ? {} : { nativeID })}
      // A link stays one while it is a box to tick: another element in its place would lose the focus.
      {...(href === undefined ? { onPress: press } : linkProps(href, onPress, onShiftPress))}
      {...(onLongPress ? { onLongPress } : {})}
      className={`min-h-[61px] flex-row items-center gap-4 ${hasLine ? 'border-b border-rule' : ''} py-2 pl-1 pr-2 active:bg-leaf ${isChosen || isTicked === true ? 'bg-leaf' : 'hover:bg-leaf/60'}`}
    >
      {isForChoosing ? <TickBox isOn={isTicked} /> : null}
      <View className="items-center" style={{ width: STAMP_WIDTH * useTypeScale() }}>
        {stamp}
      </View>
      <View className="min-w-0 flex-1">
        <Txt font="serif" size="strong" lines={titleLines}>
          {mark ? <Marked pieces={mark(title)} /> : title}
        </Txt>
        {second === '' ? null : (
          <Txt size="small" tone="faded" lines={1}>
            {mark ? <Marked pieces={mark(second)} /> : second}
          </Txt>
        )}
      </View>
      {end}
    </Pressable>
  );
}

function TickBox({ isOn }: { readonly isOn: boolean }) {
  const colours = useColours();
  const Box = isOn ? SquareCheck : Square;
  return <Box size={20} strokeWidth={1.75} color={isOn ? colours.berry : colours.faded} />;
}

/** What was looked for is underlined: a colour alone would not do. */
function Marked({ pieces }: { readonly pieces: readonly MarkedPiece[] }) {
  return pieces.map(({ text, isMarked }, i) =>
    isMarked ? (
      <Text key={i} className="text-berry underline">
        {text}
      </Text>
    ) : (
      text
    ),
  );
}
