import { ScrollView, View } from 'react-native';

import type { Offer } from '@/core/quickline';
import type { FoundCards, Hit } from '@/core/search';
import { go } from '@/platform/navigation';
import { Act, Txt, useWide } from '@/ui';

import { FoundRow } from './FoundRow';
import { OfferRow } from './OfferRow';
import { Understanding } from './Understanding';

/** The listbox that the line controls. */
export const QUICK_LIST_ID = 'quick-found';

/** One line of the list: something to open, or something to do. */
export type QuickEntry =
  | { readonly kind: 'hit'; readonly key: string; readonly hit: Hit }
  | { readonly kind: 'offer'; readonly key: string; readonly offer: Offer };

interface QuickListProps {
  readonly query: string;
  readonly found: FoundCards;
  readonly entries: readonly QuickEntry[];
  readonly chosen: number;
  readonly onRun: (entry: QuickEntry) => void;
  readonly onClose: () => void;
}

/** What a line finds and what it would do, over the page. */
export function QuickList({ query, found, entries, chosen, onRun, onClose }: QuickListProps) {
  const { isWide } = useWide();
  return (
    <View
      className={`absolute left-0 right-0 z-20 border-rule bg-paper ${isWide ? 'top-full max-h-[70vh] border-x border-b' : 'bottom-full max-h-[65vh] border-t'}`}
    >
      {found.hits.length > 0 ? <Understanding query={query} found={found} onDone={onClose} /> : null}
      <ScrollView
        keyboardShouldPersistTaps="always"
        {...({ role: 'listbox' } as object)}
        aria-label="Found"
        nativeID={QUICK_LIST_ID}
      >
        {entries.map((entry, i) => {
          const shared = { id: `found-${i}`, isChosen: i === chosen };
          return entry.kind === 'hit' ? (
            <FoundRow key={entry.key} {...shared} hit={entry.hit} onOpen={onClose} />
          ) : (
            <OfferRow key={entry.key} {...shared} offer={entry.offer} onRun={() => onRun(entry)} />
          );
        })}
      </ScrollView>
      {entries.length === 0 ? <NothingFound query={query} onClose={onClose} /> : null}
    </View>
  );
}

function NothingFound({ query, onClose }: { readonly query: string; readonly onClose: () => void }) {
  return (
    <View className="gap-1 px-3 py-3">
      <Txt tone="faded">{`Nothing found for “${query.trim()}”.`}</Txt>
      <View className="flex-row">
        <Act
          label="New card with this name"
          onPress={() => {
            onClose();
            go(`/book/new?name=${encodeURIComponent(query.trim())}`);
          }}
        />
      </View>
    </View>
  );
}
