import { View } from 'react-native';

import { texts } from '@/texts/base/ui';

import { Txt } from './Txt';

/** Bits at which a bar is as long as it gets. */
const FULL = 12;

interface EvidenceBarsProps {
  readonly evidence: readonly { readonly words: string; readonly bits: number }[];
}

/** What speaks for two cards being the same, to the right of a line, and what against, to the left; said in words too. */
export function EvidenceBars({ evidence }: EvidenceBarsProps) {
  return (
    <View role="list" aria-label={texts.evidence} className="gap-[2px]">
      {evidence.map(({ words, bits }) => {
        const width = `${Math.min(100, Math.max(4, (Math.abs(bits) / FULL) * 100))}%` as const;
        return (
          <View
            key={words}
            role="listitem"
            aria-label={`${bits > 0 ? texts.for : texts.against}: ${words}`}
            className="flex-row items-center gap-3"
          >
            <View className="h-[10px] w-[88px] flex-row" aria-hidden>
              <View className="w-[36px] items-end border-r border-faded">
                {bits < 0 ? <View className="h-[10px] bg-brick" style={{ width }} /> : null}
              </View>
              <View className="w-[52px]">
                {bits > 0 ? <View className="h-[10px] bg-moss" style={{ width }} /> : null}
              </View>
            </View>
            <View className="min-w-0 flex-1" aria-hidden>
              <Txt size="small" tone={bits > 0 ? 'ink' : 'brick'}>
                {words}
              </Txt>
            </View>
          </View>
        );
      })}
    </View>
  );
}
