import { useState } from 'react';
import { Pressable, View } from 'react-native';

import { selectSettings, useAppSelector } from '@/book/state';
import { type Card, type CardValue, noteHasLinks, type ValueGroup } from '@/core/card';
import { cardPath } from '@/platform';
import { go } from '@/platform/navigation';
import { texts } from '@/texts/card/parts';
import { Act, Ellipsis, outsideLinkProps, ToneMark, Txt } from '@/ui';

import { NoteText } from './NoteText';
import { useCopy } from './useCopy';
import { useFileOut } from './useFileOut';
import { ValueSheet } from './ValueSheet';

interface ValueRowsProps {
  readonly card: Card;
  readonly groups: readonly ValueGroup[];
  /** Read-only: nothing can be pressed. */
  readonly isStill?: boolean;
}

/** The values of a card in their groups; each is something to press, and offers the rest beside it. */
export function ValueRows({ card, groups, isStill = false }: ValueRowsProps) {
  const [chosen, setChosen] = useState<{ label: string; value: CardValue }>();
  return (
    <View>
      {groups.map(({ label, values }) => (
        <View key={`${label} ${values[0]?.id}`} className="flex-row">
          <View className="w-[76px] pr-1.5 wide:w-[112px] pt-[13px]">
            <Txt size="small" tone="faded" heading={2}>
              {label}
            </Txt>
          </View>
          <View className="min-w-0 flex-1">
            {values.map((value) =>
              isStill ? (
                <StillRow key={value.id} value={value} />
              ) : (
                <ValueRow
                  key={value.id}
                  label={label}
                  value={value}
                  onMore={() => setChosen({ label, value })}
                />
              ),
            )}
          </View>
        </View>
      ))}
      {chosen === undefined ? null : (
        <ValueSheet card={card} {...chosen} onClose={() => setChosen(undefined)} />
      )}
    </View>
  );
}

function StillRow({ value }: { readonly value: CardValue }) {
  return (
    <View className="border-b border-rule py-2">
      <ValueText value={value} />
    </View>
  );
}

function ValueText({ value: { lines, second, collection } }: { readonly value: CardValue }) {
  return (
    <>
      {collection === 'notes' ? (
        <NoteText note={lines.join('\n')} />
      ) : collection === 'keywords' ? (
        <TagsText tags={(lines[0] ?? '').split(', ')} />
      ) : (
        lines.map((line, i) => (
          <Txt key={i} size={isLongWord(line) ? 'text' : 'strong'} isFigures>
            {line}
          </Txt>
        ))
      )}
      {second === '' ? null : (
        <Txt size="small" tone="faded">
          {second}
        </Txt>
      )}
    </>
  );
}

/** A long address without a space is set a size smaller, so that it isn't broken inside a word on a phone. */
function isLongWord(line: string): boolean {
  return line.length > 24 && !/\s/.test(line);
}

/** Tags, each with its tone where it has one. */
function TagsText({ tags }: { readonly tags: readonly string[] }) {
  const { tagTones } = useAppSelector(selectSettings);
  return (
    <View className="flex-row flex-wrap gap-x-4">
      {tags.map((tag) => {
        const tone = tagTones[tag.toLowerCase()];
        return (
          <View key={tag} className="flex-row items-center gap-2">
            {tone === undefined ? null : <ToneMark tone={tone} />}
            <Txt size="strong">{tag}</Txt>
          </View>
        );
      })}
    </View>
  );
}

interface ValueRowProps {
  readonly label: string;
  readonly value: CardValue;
  readonly onMore: () => void;
}

function ValueRow({ label, value, onMore }: ValueRowProps) {
  const copy = useCopy();
  const handOut = useFileOut();
  const { lines, second, uri, cardUid, file } = value;
  const press = () => {
    if (file) handOut(file);
    else if (cardUid === undefined) void copy(value.copy);
    else go(cardPath(cardUid));
  };
  const isLink = uri !== undefined || cardUid !== undefined;
  // Links can't stand inside of something that is pressed as a whole.
  const hasLinks = value.collection === 'notes' && noteHasLinks(lines.join('\n'));
  return (
    <View className="flex-row items-center border-b border-rule">
      {hasLinks ? (
        <View className="min-w-0 flex-1" testID="value">
          <ValueText value={value} />
        </View>
      ) : (
        <Pressable
          role={isLink ? 'link' : 'button'}
          aria-label={[label, ...lines, second, isLink ? '' : file ? 'save' : 'copy']
            .filter(Boolean)
            .join(', ')}
          {...(uri === undefined ? { onPress: press } : outsideLinkProps(uri))}
          testID="value"
          className="min-h-[44px] min-w-0 flex-1 justify-center py-2 hover:bg-leaf active:bg-leaf"
        >
          <ValueText value={value} />
        </Pressable>
      )}
      <Act label={texts.moreFor(lines.join(', '))} icon={Ellipsis} iconOnly tone="faded" onPress={onMore} />
    </View>
  );
}
