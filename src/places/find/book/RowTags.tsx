import { View } from 'react-native';

import { ToneMark, Txt } from '@/ui';

/** Further dots beside the named tag; more would leave no room for the name. */
const MORE_MARKS = 2;

interface RowTagsProps {
  readonly toned: readonly { readonly tag: string; readonly tone: number }[];
}

/** The tags of a card that were given a colour: the first with its word, of some more the marks alone. */
export function RowTags({ toned }: RowTagsProps) {
  const [first, ...more] = toned;
  if (!first) return null;
  return (
    <View className="max-w-[30%] shrink-0 flex-row items-center gap-1">
      {more.slice(0, MORE_MARKS).map(({ tag, tone }) => (
        <ToneMark key={tag} tone={tone} />
      ))}
      <ToneMark tone={first.tone} />
      <Txt size="small" tone="faded" lines={1}>
        {first.tag}
      </Txt>
    </View>
  );
}
