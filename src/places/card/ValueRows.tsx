import { useState } from 'react';
import { Pressable, View } from 'react-native';

import type { Card } from '@/core/card';
import type { CardValue, ValueGroup } from '@/core/showing';
import { Act, Ellipsis, outsideLinkProps, Txt } from '@/ui';

import { useCopy } from './useCopy';
import { ValueSheet } from './ValueSheet';

/** The values of a card in their groups; each is something to press, and offers the rest beside it. */
export function ValueRows({ card, groups }: { readonly card: Card; readonly groups: readonly ValueGroup[] }) {
  const [chosen, setChosen] = useState<{ label: string; value: CardValue }>();
  return (
    <View>
      {groups.map(({ label, values }) => (
        <View key={`${label} ${values[0]?.id}`} className="flex-row">
          <View className="w-[76px] wide:w-[112px] pt-[13px]">
            <Txt size="small" tone="faded" heading={2}>
              {label}
            </Txt>
          </View>
          <View className="min-w-0 flex-1">
            {values.map((value) => (
              <ValueRow
                key={value.id}
                label={label}
                value={value}
                onMore={() => setChosen({ label, value })}
              />
            ))}
          </View>
        </View>
      ))}
      {chosen === undefined ? null : (
        <ValueSheet card={card} {...chosen} onClose={() => setChosen(undefined)} />
      )}
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
  const { lines, second, uri } = value;
  const isLong = value.collection === 'notes';
  return (
    <View className="flex-row items-center border-b border-rule">
      <Pressable
        role={uri === undefined ? 'button' : 'link'}
        aria-label={[label, ...lines, second, uri === undefined ? 'copy' : ''].filter(Boolean).join(', ')}
        {...(uri === undefined ? { onPress: () => void copy(value.copy) } : outsideLinkProps(uri))}
        testID="value"
        className="min-h-[44px] min-w-0 flex-1 justify-center py-2 hover:bg-leaf active:bg-leaf"
      >
        {lines.map((line, i) => (
          <Txt key={i} size={isLong ? 'text' : 'strong'} isFigures={!isLong}>
            {line}
          </Txt>
        ))}
        {second === '' ? null : (
          <Txt size="small" tone="faded">
            {second}
          </Txt>
        )}
      </Pressable>
      <Act label={`More for ${lines.join(', ')}`} icon={Ellipsis} iconOnly tone="faded" onPress={onMore} />
    </View>
  );
}
