import { ScrollView, View } from 'react-native';

import type { FoundInDirectory } from '@/book/directory';
import type { FoundCards, Hit, LinePart, Offer, QuickVerb } from '@/core/find';
import { go } from '@/platform/navigation';
import { texts } from '@/texts/find/quickline';
import { Act, Txt, useWide } from '@/ui';

import { FoundRow } from './FoundRow';
import { ListedRow } from './ListedRow';
import { OfferRow } from './OfferRow';
import { PageRow } from './PageRow';
import type { NamedPage } from './pages';
import { QUICK_WORDS } from './quickWords';
import { Understanding } from './Understanding';

/** The listbox that the line controls. */
export const QUICK_LIST_ID = 'quick-found';

/** One line of the list: something to open, or something to do. */
export type QuickEntry =
  | { readonly kind: 'hit'; readonly key: string; readonly hit: Hit }
  | { readonly kind: 'listed'; readonly key: string; readonly person: FoundInDirectory }
  | { readonly kind: 'page'; readonly key: string; readonly page: NamedPage }
  | { readonly kind: 'offer'; readonly key: string; readonly offer: Offer };

interface QuickListProps {
  readonly query: string;
  /** Undefined while nothing is typed: what was done lately stands there. */
  readonly found: FoundCards | undefined;
  readonly entries: readonly QuickEntry[];
  readonly chosen: number;
  readonly onRun: (entry: QuickEntry) => void;
  readonly onClose: () => void;
  /** What can be done with the chosen entry. */
  readonly acts: readonly Offer[];
  /** The one that Enter would do; -1 for none. */
  readonly act: number;
  readonly onAct: (offer: Offer) => void;
  /** Adds a limit to the line. */
  readonly onLimit: (limit: string) => void;
  /** What the words of the line were understood as. */
  readonly parts: readonly LinePart[];
  /** Puts a text into the line. */
  readonly onAsk: (line: string) => void;
}

/** What a line finds and what it would do, over the page. */
export function QuickList(props: QuickListProps) {
  const { query, found, entries, chosen, onRun, onClose } = props;
  const { isWide } = useWide();
  return (
    <View
      className={`absolute left-0 right-0 z-20 border-rule bg-paper ${isWide ? 'top-full max-h-[70vh] border-x border-b' : 'bottom-full max-h-[65vh] border-t'}`}
    >
      {found ? (
        <Understanding
          query={query}
          found={found}
          isSearch={entries[0]?.kind !== 'offer'}
          onDone={onClose}
          onLimit={props.onLimit}
          parts={props.parts}
          onAsk={props.onAsk}
        />
      ) : (
        <View className="px-3 pt-2">
          <Txt size="small" font="sansBold" tone="faded">
            {entries.some(({ kind }) => kind === 'offer') ? texts.recent : texts.toBegin}
          </Txt>
        </View>
      )}
      <ScrollView
        keyboardShouldPersistTaps="always"
        {...({ role: 'listbox' } as object)}
        aria-label={texts.found}
        nativeID={QUICK_LIST_ID}
      >
        {entries.map((entry, i) => {
          const shared = { id: `found-${i}`, isChosen: i === chosen };
          if (entry.kind === 'listed')
            return (
              <ListedRow
                key={entry.key}
                {...shared}
                person={entry.person}
                words={found?.words ?? ''}
                onOpen={() => onRun(entry)}
              />
            );
          if (entry.kind === 'page')
            return <PageRow key={entry.key} {...shared} page={entry.page} onOpen={() => onRun(entry)} />;
          return entry.kind === 'hit' ? (
            <FoundRow
              key={entry.key}
              {...shared}
              hit={entry.hit}
              words={found?.words ?? ''}
              onOpen={() => onRun(entry)}
            />
          ) : (
            <OfferRow key={entry.key} {...shared} offer={entry.offer} onRun={() => onRun(entry)} />
          );
        })}
      </ScrollView>
      {props.acts.length === 0 ? null : <ActsBar {...props} />}
      {found && entries.every(({ kind }) => kind === 'page') ? (
        <NothingFound
          what={entries.length === 0 ? texts.nothing : texts.noCard}
          query={query}
          onClose={onClose}
        />
      ) : null}
    </View>
  );
}

interface NothingFoundProps {
  readonly what: string;
  readonly query: string;
  readonly onClose: () => void;
}

function NothingFound({ what, query, onClose }: NothingFoundProps) {
  return (
    <View className="gap-1 px-3 py-3">
      <Txt tone="faded">{texts.foundFor(what, query.trim())}</Txt>
      <View className="flex-row">
        <Act
          label={texts.newCardWithThisName}
          onPress={() => {
            onClose();
            go(`/book/new?name=${encodeURIComponent(query.trim())}`);
          }}
        />
      </View>
    </View>
  );
}

/** What can be done with the card that is chosen; arrow keys to the right and left go over it. */
function ActsBar({ acts, act, onAct }: QuickListProps) {
  return (
    <View
      role="toolbar"
      aria-label={texts.whatCanBeDone}
      className="flex-row flex-wrap gap-x-5 border-t border-rule bg-leaf px-3"
    >
      {acts.map((offer, i) => (
        <View
          key={offer.verb}
          nativeID={`quick-act-${i}`}
          className={i === act ? 'border-b-2 border-berry' : ''}
        >
          <Act
            label={QUICK_WORDS[offer.verb as QuickVerb] ?? offer.label}
            name={[offer.label, offer.detail].filter(Boolean).join(', ')}
            onPress={() => onAct(offer)}
            testID={`quick-act-${offer.verb}`}
          />
        </View>
      ))}
    </View>
  );
}
