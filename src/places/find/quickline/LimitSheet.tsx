import { Pressable, View } from 'react-native';

import { selectTags } from '@/book/card';
import { useListName } from '@/book/lists';
import { selectLists, useAppSelector } from '@/book/state';
import type { Uid } from '@/core/card';
import { type Field, formatRule, type Test, writeLimit } from '@/core/find';
import { texts } from '@/texts/find/quickline';
import { Sheet, Txt } from '@/ui';

interface LimitSheetProps {
  /** Given the limit as it would be typed. */
  readonly onPick: (limit: string) => void;
  readonly onClose: () => void;
}

/** Tags that are offered; the ones on most cards come first. */
const TAGS = 12;
const FIELDS: readonly Field[] = ['number', 'mail', 'place', 'organisation', 'note', 'tag'];

/** The limits of a search, to be picked instead of typed; a picked one is put into the line, where it can be changed. */
export function LimitSheet({ onPick, onClose }: LimitSheetProps) {
  const lists = useAppSelector(selectLists).map(({ uid }) => uid);
  const tags = useAppSelector(selectTags);
  const nameOf = useListName();
  const pick = (limit: string) => {
    onClose();
    onPick(limit);
  };
  return (
    <Sheet title={texts.limitSearch} isOpen onClose={onClose}>
      {partsOf(
        lists,
        tags.slice(0, TAGS).map(({ tag }) => tag),
      ).map(([title, tests]) => (
        <View key={title} className="pb-3">
          <Txt size="small" font="sansBold" tone="faded" heading={3}>
            {title}
          </Txt>
          <View className="flex-row flex-wrap gap-x-5">
            {tests.map((test) => (
              <Line
                key={JSON.stringify(test)}
                label={formatRule(test, nameOf)}
                onPress={() => pick(writeLimit(test, nameOf))}
              />
            ))}
          </View>
        </View>
      ))}
      <View className="flex-row flex-wrap gap-x-5">
        {(['in', 'at', 'near', texts.within30KmOf] as const).map((words) => (
          <Line key={words} label={`${words} …`} onPress={() => pick(`${words} `)} />
        ))}
      </View>
    </Sheet>
  );
}

function Line({ label, onPress }: { readonly label: string; readonly onPress: () => void }) {
  return (
    <Pressable
      role="button"
      aria-label={label}
      onPress={onPress}
      className="min-h-[44px] min-w-[44px] justify-center active:opacity-60"
    >
      <Txt tone="berry">{label}</Txt>
    </Pressable>
  );
}

function partsOf(lists: readonly Uid[], tags: readonly string[]): (readonly [string, readonly Test[]])[] {
  const parts: (readonly [string, readonly Test[]])[] = [
    [
      texts.kind,
      [
        { kind: 'card', card: 'person' },
        { kind: 'card', card: 'organisation' },
        { kind: 'flag', flag: 'pinned' },
        { kind: 'flag', flag: 'archived' },
      ],
    ],
    [texts.list, lists.map((list): Test => ({ kind: 'list', list }))],
    [texts.tagTitle, tags.map((value): Test => ({ kind: 'words', field: 'tag', value }))],
    [texts.thereIs, [...FIELDS, 'birth' as const].map((field): Test => ({ kind: 'filled', field }))],
    [
      texts.thereIsNo,
      [...FIELDS, 'birth' as const].map((field): Test => ({ kind: 'filled', field, not: true })),
    ],
    [
      texts.talks,
      [
        { kind: 'talk', how: 'any', days: 30 },
        { kind: 'talk', how: 'any', days: 180, not: true },
        { kind: 'talk', how: 'met', days: 'year' },
        { kind: 'close', from: 75 },
      ],
    ],
    [
      texts.time,
      [
        { kind: 'since', what: 'added', days: 30 },
        { kind: 'since', what: 'changed', days: 30 },
        { kind: 'coming', day: 'birth', days: 14 },
      ],
    ],
  ];
  return parts.filter(([, tests]) => tests.length > 0);
}
