import { useEffect, useRef, useState } from 'react';
import {
  type NativeSyntheticEvent,
  ScrollView,
  TextInput,
  type TextInputKeyPressEventData,
  View,
} from 'react-native';

import { onKeyPress } from '@/platform';
import { go } from '@/platform/navigation';
import { Act, Search, Txt, useColours, useWide, X } from '@/ui';

import { FoundRow, pathOf } from './FoundRow';
import { Understanding } from './Understanding';
import { useFind } from './useFind';

const LIST_ID = 'quick-found';

/** The one line that finds; on every screen, within reach of the thumb, and under the key /. */
export function QuickLine() {
  const { isWide } = useWide();
  const colours = useColours();
  const input = useRef<TextInput>(null);
  const [query, setQuery] = useState('');
  const [isFocused, setFocused] = useState(false);
  const [chosen, setChosen] = useState(0);
  const found = useFind(query);
  const hits = found?.hits;
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
  const onKey = (event: NativeSyntheticEvent<TextInputKeyPressEventData>) => {
    const { key } = event.nativeEvent;
    const last = (hits?.length ?? 0) - 1;
    if (key === 'ArrowDown') setChosen(Math.min(chosen + 1, Math.max(0, last)));
    else if (key === 'ArrowUp') setChosen(Math.max(chosen - 1, 0));
    else if (key === 'Escape') close();
    else if (key === 'Enter') {
      const hit = hits?.[chosen];
      if (hit) {
        close();
        go(pathOf(hit));
      }
    } else return;
    event.preventDefault();
  };
  const isOpen = hits !== undefined;
  const list = isOpen ? (
    <View
      className={`absolute left-0 right-0 z-20 border-rule bg-paper ${isWide ? 'top-full max-h-[70vh] border-x border-b' : 'bottom-full max-h-[65vh] border-t'}`}
    >
      {found && hits.length > 0 ? <Understanding query={query} found={found} onDone={close} /> : null}
      <ScrollView
        keyboardShouldPersistTaps="always"
        {...({ role: 'listbox' } as object)}
        aria-label="Found"
        nativeID={LIST_ID}
      >
        {hits.map((hit, i) => (
          <FoundRow key={hit.uid} hit={hit} id={`found-${i}`} isChosen={i === chosen} onOpen={close} />
        ))}
      </ScrollView>
      {hits.length === 0 ? <NothingFound query={query} onClose={close} /> : null}
    </View>
  ) : null;
  return (
    <View {...({ role: 'search' } as object)} className={isWide ? 'z-20 px-5 pt-[14px]' : 'z-20 px-3'}>
      <View>
        {list}
        <View
          className={`min-h-[44px] flex-row items-center gap-3 border border-b-2 border-rule bg-paper pl-3 ${isFocused ? 'border-b-berry' : 'border-b-ink'} ${isWide ? 'rounded-[4px]' : 'rounded-t-[4px]'}`}
        >
          <Search size={20} strokeWidth={1.75} color={colours.faded} />
          <TextInput
            ref={input}
            role="combobox"
            aria-label="Find"
            {...({
              'aria-expanded': isOpen,
              'aria-controls': LIST_ID,
              'aria-autocomplete': 'list',
            } as object)}
            {...(isOpen && hits.length > 0 ? ({ 'aria-activedescendant': `found-${chosen}` } as object) : {})}
            placeholder="Find by name, town, number, mail"
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
            <View aria-hidden className="mr-3 rounded-[4px] border border-rule px-2">
              <Txt size="small" tone="faded">
                /
              </Txt>
            </View>
          )}
        </View>
      </View>
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
