import { useEffect, useRef, useState } from 'react';
import { type NativeSyntheticEvent, TextInput, type TextInputKeyPressEventData, View } from 'react-native';

import type { Offer } from '@/core/quickline';
import type { Hit } from '@/core/search';
import { onKeyPress } from '@/platform';
import { go } from '@/platform/navigation';
import { Act, CircleHelp, Search, useColours, useWide, X } from '@/ui';

import { pathOf } from './FoundRow';
import { QuickHelp } from './QuickHelp';
import { QUICK_LIST_ID, type QuickEntry, QuickList } from './QuickList';
import { useFind } from './useFind';
import { useOffers } from './useOffers';
import { useRunOffer } from './useRunOffer';

/** The one line that finds, fills in and does; on every screen, within reach of the thumb, and under the key /. */
export function QuickLine() {
  const { isWide } = useWide();
  const colours = useColours();
  const input = useRef<TextInput>(null);
  const [query, setQuery] = useState('');
  const [isFocused, setFocused] = useState(false);
  const [chosen, setChosen] = useState(0);
  const [isHelpOpen, setHelpOpen] = useState(false);
  const found = useFind(query);
  const { offers, isAsked } = useOffers(query, isFocused);
  const run = useRunOffer();
  const entries = toEntries(found?.hits ?? [], offers, isAsked);
  useEffect(
    () =>
      onKeyPress(({ key, isCommand, isTyping }) => {
        if (key !== '/' || isCommand || isTyping) return false;
        input.current?.focus();
        return true;
      }),
    [],
  );
  const close = () => {
    setQuery('');
    setChosen(0);
    input.current?.blur();
  };
  const runEntry = (entry: QuickEntry) => {
    if (entry.kind === 'offer' && !run(entry.offer)) return;
    close();
    if (entry.kind === 'hit') go(pathOf(entry.hit));
  };
  const onKey = (event: NativeSyntheticEvent<TextInputKeyPressEventData>) => {
    const { key } = event.nativeEvent;
    if (key === 'ArrowDown') setChosen(Math.min(chosen + 1, Math.max(0, entries.length - 1)));
    else if (key === 'ArrowUp') setChosen(Math.max(chosen - 1, 0));
    else if (key === 'Escape') close();
    else if (key === 'Enter') {
      const entry = entries[chosen];
      if (entry) runEntry(entry);
    } else return;
    event.preventDefault();
  };
  const isOpen = found !== undefined;
  const hasEntries = isOpen && entries.length > 0;
  return (
    <View {...({ role: 'search' } as object)} className={isWide ? 'z-20 px-5 pt-[14px]' : 'z-20 px-3'}>
      <View>
        {isOpen ? (
          <QuickList
            query={query}
            found={found}
            entries={entries}
            chosen={chosen}
            onRun={runEntry}
            onClose={close}
          />
        ) : null}
        <View
          className={`min-h-[44px] flex-row items-center gap-3 border border-b-2 border-rule bg-paper pl-3 ${isFocused ? 'border-b-berry' : 'border-b-ink'} ${isWide ? 'rounded-[4px]' : 'rounded-t-[4px]'}`}
        >
          <Search size={20} strokeWidth={1.75} color={colours.faded} />
          <TextInput
            ref={input}
            role="combobox"
            aria-label="Find, fill in or do"
            {...({
              'aria-expanded': isOpen,
              'aria-controls': QUICK_LIST_ID,
              'aria-autocomplete': 'list',
            } as object)}
            {...(hasEntries ? ({ 'aria-activedescendant': `found-${chosen}` } as object) : {})}
            placeholder="Find somebody, or say what to do"
            value={query}
            onChangeText={(text) => {
              setQuery(text);
              setChosen(0);
            }}
            onKeyPress={onKey}
            onFocus={() => setFocused(true)}
            onBlur={() => setFocused(false)}
            autoCorrect={false}
            autoCapitalize="none"
            autoComplete="off"
            enterKeyHint="go"
            testID="quick-line"
            className="min-h-[44px] min-w-0 flex-1 bg-transparent font-sans text-text text-ink outline-none"
          />
          {query !== '' ? (
            <Act label="Clear" icon={X} iconOnly tone="faded" onPress={close} />
          ) : (
            <Act
              label="What this line understands"
              icon={CircleHelp}
              iconOnly
              tone="faded"
              onPress={() => setHelpOpen(true)}
              testID="quick-help"
            />
          )}
        </View>
      </View>
      {isHelpOpen ? (
        <QuickHelp
          onClose={() => setHelpOpen(false)}
          onTry={(text) => {
            setHelpOpen(false);
            setQuery(text);
            setChosen(0);
            setTimeout(() => input.current?.focus(), 0);
          }}
        />
      ) : null}
    </View>
  );
}

/** What was asked for in so many words comes first; what could be filled in stands behind what was found. */
function toEntries(hits: readonly Hit[], offers: readonly Offer[], isAsked: boolean): QuickEntry[] {
  const found = hits.map((hit): QuickEntry => ({ kind: 'hit', key: hit.uid, hit }));
  const acts = offers.map((offer): QuickEntry => ({
    kind: 'offer',
    key: `${offer.kind} ${offer.uid}`,
    offer,
  }));
  return isAsked ? [...acts, ...found] : [...found, ...acts];
}
