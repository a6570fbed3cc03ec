import { lazy, Suspense, useEffect, useLayoutEffect, useRef, useState } from 'react';
import { type NativeSyntheticEvent, TextInput, type TextInputKeyPressEventData, View } from 'react-native';

import { type FoundInDirectory, useFoundInDirectory } from '@/book/directory';
import { storeTextToRead } from '@/book/extract';
import { noteAct } from '@/book/settings';
import { useAppDispatch, useServices } from '@/book/state';
import type { Hit, Offer } from '@/core/find';
import { onKeyPress, onPasteOfLines } from '@/platform';
import { go } from '@/platform/navigation';
import { texts } from '@/texts/find/quickline';
import { Act, CircleHelp, Search, useColours, useEnter, useSteady, useWide, X } from '@/ui';

import { pathOf } from './FoundRow';
import { LineGhost } from './LineGhost';
import { listedPath } from './ListedRow';
import { onQuickKey } from './onQuickKey';
import { dayPage, examplePages, FURTHER_PAGES, isNameOf, type NamedPage, pagesFor } from './pages';
import { QUICK_LIST_ID, type QuickEntry, QuickList } from './QuickList';
import { useFind } from './useFind';
import { useDueNow, useLineExamples, useLineHelp } from './useLineHelp';
import { useOffers } from './useOffers';
import { useActsFor, usePlans, useRecentActs } from './useRecentActs';
import { useRunOffer } from './useRunOffer';

const QuickHelp = lazy(() => import('./seldom').then((seldom) => ({ default: seldom.QuickHelp })));

/** Longer than a press takes. */
const BLUR_MS = 250;
/** People of the directory offered at once. */
const LISTED = 4;

/** The one line that finds, fills in and does; on every screen, within reach of the thumb, and under the key /. */
export function QuickLine() {
  const { isWide } = useWide();
  const colours = useColours();
  const input = useRef<TextInput>(null);
  const leaving = useRef<ReturnType<typeof setTimeout>>(undefined);
  const [query, setQuery] = useState('');
  const [isFocused, setFocused] = useState(false);
  const [chosen, setChosen] = useState(0);
  const [act, setAct] = useState(-1);
  const [hasMoved, setMoved] = useState(false);
  const [isHelpOpen, setHelpOpen] = useState(false);
  const { found, isKnown: isFound } = useFind(query);
  const { plans, isComing } = usePlans(isFocused || query !== '');
  const { offers, isAsked, isTie, isKnown: isOffered } = useOffers(query, plans);
  const run = useRunOffer();
  const recent = useRecentActs(plans);
  const isEmpty = query.trim() === '';
  const listed = useFoundInDirectory(query.trim(), LISTED);
  const isWaiting = isEmpty && isFocused;
  const due = useDueNow(isWaiting);
  const examples = useLineExamples(isWaiting);
  const help = useLineHelp(query, isFocused);
  const entries = isEmpty
    ? toEntries({
        ...{ ...NOTHING, offers: recent, isAsked: true },
        pages: [...dayPage(due), ...examplePages(examples), ...(isWide ? [] : FURTHER_PAGES)],
      })
    : toEntries({ query, hits: found?.hits ?? [], listed, pages: pagesFor(query), offers, isAsked });
  const entry = entries[chosen];
  const acts = useActsFor(plans, !isEmpty && entry?.kind === 'hit' ? entry.hit.uid : undefined);
  const dispatch = useAppDispatch();
  useLayoutEffect(
    () =>
      onKeyPress(({ key, isCommand, isTyping }) => {
        if (key !== '/' || isCommand || isTyping) return false;
        input.current?.focus();
        return true;
      }),
    [],
  );
  const inputElement = useSteady(() =>
    input.current instanceof HTMLInputElement ? input.current : undefined,
  );
  const services = useServices();
  useEffect(
    () =>
      onPasteOfLines(input.current, (text) => {
        storeTextToRead(services, text);
        go('/import/text');
      }),
    [services],
  );
  const move = (at: number, actAt: number, isGoing = true) => {
    setMoved(isGoing);
    setChosen(isGoing && isTie && !hasMoved ? 0 : at);
    setAct(actAt);
  };
  const close = () => {
    setQuery('');
    move(0, -1, false);
    setFocused(false);
    input.current?.blur();
  };
  const runOffer = (offer: Offer) => {
    if (run(offer)) close();
  };
  /** Puts a text into the line, as if it had been typed. */
  const ask = (text: string) => {
    setQuery(text);
    setChosen(0);
    setTimeout(() => input.current?.focus(), 0);
  };
  const runEntry = (one: QuickEntry) => {
    if (one.kind === 'offer') return runOffer(one.offer);
    if (one.kind === 'page' && one.page.line !== undefined) return ask(one.page.line);
    close();
    if (one.kind === 'listed') return go(listedPath(one.person));
    if (one.kind === 'page') return go(one.page.path);
    dispatch(noteAct(one.hit.uid, 'open'));
    go(pathOf(one.hit));
  };
  // An entry chosen by arrow keys is the one that is meant.
  const isMeant = chosen > 0 || act >= 0 || (isFound && isOffered && !isComing);
  // Of two that are as likely neither is meant, until one is gone to.
  const isOpenQuestion = isTie && !hasMoved;
  const onEnter = useEnter(query, isEmpty || isMeant, () => {
    if (isOpenQuestion) return;
    const offer = acts[act];
    if (offer) runOffer(offer);
    else if (entry) runEntry(entry);
  });
  const takeRest = () => ask(`${query}${help.rest}`);
  const onKey = (event: NativeSyntheticEvent<TextInputKeyPressEventData>) =>
    onQuickKey(event, {
      ...(help.rest === '' ? {} : { onTab: takeRest }),
      ...{ entries: entries.length, chosen, acts: acts.length, act, onEnter },
      onMove: move,
      onEscape: close,
    });
  const isLately = isWaiting && entries.length > 0;
  const isOpen = found !== undefined || isLately;
  const hasEntries = isOpen && entries.length > 0;
  return (
    <View {...({ role: 'search' } as object)} className={isWide ? 'z-20 px-5 pt-[14px]' : 'z-20 px-3'}>
      <View>
        {isOpen ? (
          <QuickList
            query={query}
            found={found}
            entries={entries}
            chosen={isOpenQuestion ? -1 : chosen}
            acts={acts}
            act={act}
            onAct={runOffer}
            onRun={runEntry}
            onClose={close}
            parts={help.parts}
            onAsk={ask}
            onLimit={(limit) => ask(`${query.trim()}${isEmpty ? '' : ', '}${limit}`)}
          />
        ) : null}
        <View
          className={`min-h-[44px] flex-row items-center gap-3 border border-b-2 border-rule bg-paper pl-3 ${isFocused ? 'border-b-berry' : 'border-b-ink'} ${isWide ? 'rounded-[4px]' : 'rounded-t-[4px]'}`}
        >
          <Search size={20} strokeWidth={1.75} color={colours.faded} />
          <View className="min-w-0 flex-1">
            <TextInput
              ref={input}
              role="combobox"
              aria-label={texts.findFillInOrDo}
              {...({
                'aria-expanded': isOpen,
                'aria-controls': QUICK_LIST_ID,
                'aria-autocomplete': 'list',
                // Pressed once more, it shows again what it had shown.
                onClick: () => {
                  clearTimeout(leaving.current);
                  setFocused(true);
                },
              } as object)}
              {...(hasEntries
                ? ({
                    'aria-activedescendant':
                      act === -1 ? `found-${isOpenQuestion ? -1 : chosen}` : `quick-act-${act}`,
                  } as object)
                : {})}
              placeholder={texts.findSomebodyOrSay}
              value={query}
              onChangeText={(text) => {
                setQuery(text);
                move(0, -1, false);
              }}
              onKeyPress={onKey}
              onFocus={() => {
                clearTimeout(leaving.current);
                setFocused(true);
              }}
              // A press on a line of the list takes the focus before it is a press.
              onBlur={() => {
                leaving.current = setTimeout(() => setFocused(false), BLUR_MS);
              }}
              autoCorrect={false}
              autoCapitalize="none"
              autoComplete="off"
              enterKeyHint="go"
              testID="quick-line"
              className="min-h-[44px] min-w-0 bg-transparent font-sans text-text text-ink outline-none"
            />
            {isFocused && !isEmpty ? (
              <LineGhost
                text={query}
                parts={help.parts}
                rest={help.rest}
                onTake={takeRest}
                input={inputElement}
              />
            ) : null}
          </View>
          {query !== '' ? (
            <Act label={texts.clear} icon={X} iconOnly tone="faded" onPress={close} />
          ) : (
            <Act
              label={texts.whatThisLineUnderstands}
              icon={CircleHelp}
              iconOnly
              tone="faded"
              onPress={() => setHelpOpen(true)}
              testID="quick-help"
            />
          )}
        </View>
      </View>
      <Suspense fallback={null}>
        {isHelpOpen ? (
          <QuickHelp
            onClose={() => setHelpOpen(false)}
            onTry={(text) => {
              setHelpOpen(false);
              ask(text);
            }}
          />
        ) : null}
      </Suspense>
    </View>
  );
}

interface Found {
  readonly query: string;
  readonly hits: readonly Hit[];
  readonly listed: readonly FoundInDirectory[];
  readonly pages: readonly NamedPage[];
  readonly offers: readonly Offer[];
  readonly isAsked: boolean;
}

const NOTHING: Found = { query: '', hits: [], listed: [], pages: [], offers: [], isAsked: false };

/**
 * What was asked for in so many words comes first; what could be filled in stands behind what was found, the Book
 * before the directory.
 */
function toEntries({ query, hits, listed, pages, offers, isAsked }: Found): QuickEntry[] {
  const toHit = (hit: Hit): QuickEntry => ({ kind: 'hit', key: hit.uid, hit });
  const found = hits.filter(({ isNear }) => isNear !== true).map(toHit);
  // Cards that are only spelled similarly come after exact matches.
  const near = hits.filter(({ isNear }) => isNear === true).map(toHit);
  const acts = offers.map((offer): QuickEntry => ({
    kind: 'offer',
    key: `${offer.kind} ${offer.verb ?? ''} ${offer.uid} ${offer.label}`,
    offer,
  }));
  const others = listed.map((person): QuickEntry => ({
    kind: 'listed',
    key: `listed ${person.uid}`,
    person,
  }));
  const ways = pages.map((page): QuickEntry => ({ kind: 'page', key: page.path, page }));
  // A page with exactly this name is meant, unless a person has it too.
  const isMeant = pages.some((page) => isNameOf(page, query)) && !hits.some(({ field }) => field === 'name');
  const all = isMeant ? [...ways, ...found, ...others, ...near] : [...found, ...others, ...ways, ...near];
  return isAsked ? [...acts, ...all] : [...all, ...acts];
}
