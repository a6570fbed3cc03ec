import { lazy, Suspense, useState } from 'react';
import { View } from 'react-native';
import { useStore } from 'react-redux';

import { changeBook } from '@/book/commit';
import { added } from '@/book/history';
import { useListName } from '@/book/lists';
import { type AppStore, choiceMade, useAppDispatch, useServices } from '@/book/state';
import { formatRule, type FoundCards, type LinePart, toRule } from '@/core/find';
import { newRuleList } from '@/core/lists';
import { listPath, localDay } from '@/platform';
import { go } from '@/platform/navigation';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/find/quickline';
import { Act, ListChecks, ListFilter, ListPlus } from '@/ui';

import { SaidParts } from './SaidParts';

const LimitSheet = lazy(() => import('./seldom').then((seldom) => ({ default: seldom.LimitSheet })));

/** More than any book has. */
const ALL = 1_000_000;

interface UnderstandingProps {
  readonly query: string;
  readonly found: FoundCards;
  /** Whether the line is a search before anything else; else what it would do says what was understood. */
  readonly isSearch: boolean;
  readonly onDone: () => void;
  readonly onLimit: (limit: string) => void;
  /** What its words were understood as. */
  readonly parts: readonly LinePart[];
  /** Puts another line in the place of this one. */
  readonly onAsk: (line: string) => void;
}

/** What a search was understood as, where it says more than words; and what can be done with all that it finds. */
export function Understanding(props: UnderstandingProps) {
  const { query, found, parts, isSearch, onDone, onLimit, onAsk } = props;
  const dispatch = useAppDispatch();
  const { search, newUid, utcNow } = useServices();
  const nameOf = useListName();
  const { getState } = useStore() as AppStore;
  const rule = found.rule ?? toRule(found);
  const [isPicking, setPicking] = useState(false);
  const text = rule ? formatRule(rule, nameOf) : '';
  const isUnderstood = isSearch ? found.tests.length > 0 || found.rule !== undefined : parts.length > 0;
  const hasFound = rule !== undefined && found.hits.length > 0;
  const chooseAll = async () => {
    const { hits } = await search.find(query, ALL, localDay());
    const rows = getState().rows.byUid;
    dispatch(choiceMade(hits.flatMap(({ uid }) => (rows.has(uid) ? uid : []))));
    onDone();
    go('/book');
  };
  const keep = async () => {
    if (!rule) return;
    const list = newRuleList(newUid(), text, utcNow(), rule);
    await dispatch(changeBook({ cause: 'add', label: texts.createdList(text), edits: [added(list)] }));
    onDone();
    go(listPath(list.uid));
  };
  return (
    <View className="border-b border-rule bg-leaf px-3 pt-1" testID="understanding">
      {isUnderstood ? (
        <SaidParts query={query} parts={parts} onAsk={onAsk} {...(isSearch ? { text } : {})} />
      ) : null}
      <View className="flex-row flex-wrap gap-x-5">
        <Act
          label={texts.limit}
          icon={ListFilter}
          tone="faded"
          onPress={() => setPicking(true)}
          testID="pick-limit"
        />
        {hasFound ? (
          <>
            <Act
              label={shared.selectAll}
              icon={ListChecks}
              tone="faded"
              onPress={() => void chooseAll()}
              testID="choose-found"
            />
            <Act
              label={texts.saveAsList}
              icon={ListPlus}
              tone="faded"
              onPress={() => void keep()}
              testID="keep-found"
            />
          </>
        ) : null}
      </View>
      <Suspense fallback={null}>
        {isPicking ? <LimitSheet onPick={onLimit} onClose={() => setPicking(false)} /> : null}
      </Suspense>
    </View>
  );
}
