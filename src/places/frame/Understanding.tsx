import { View } from 'react-native';
import { useStore } from 'react-redux';

import { type AppStore, changeBook, choiceMade, useAppDispatch, useListName, useServices } from '@/book';
import { newRuleList } from '@/core/lists';
import { formatRule, toRule } from '@/core/rules';
import type { FoundCards } from '@/core/search';
import { listPath, localDay } from '@/platform';
import { go } from '@/platform/navigation';
import { Act, ListChecks, ListPlus, Txt } from '@/ui';

/** More than any book has. */
const ALL = 1_000_000;

interface UnderstandingProps {
  readonly query: string;
  readonly found: FoundCards;
  readonly onDone: () => void;
}

/** What a search was understood as, where it says more than words; and what can be done with all that it finds. */
export function Understanding({ query, found, onDone }: UnderstandingProps) {
  const dispatch = useAppDispatch();
  const { search, newUid, utcNow } = useServices();
  const nameOf = useListName();
  const { getState } = useStore() as AppStore;
  const rule = toRule(found);
  if (!rule) return null;
  const text = formatRule(rule, nameOf);
  const chooseAll = async () => {
    const { hits } = await search.find(query, ALL, localDay());
    const rows = getState().rows.byUid;
    dispatch(choiceMade(hits.flatMap(({ uid }) => (rows.has(uid) ? uid : []))));
    onDone();
    go('/book');
  };
  const keep = async () => {
    const list = newRuleList(newUid(), text, utcNow(), rule);
    await dispatch(changeBook({ cause: 'add', label: `Made the list “${text}”`, upserts: [list] }));
    onDone();
    go(listPath(list.uid));
  };
  return (
    <View className="border-b border-rule bg-leaf px-3 pt-1" testID="understanding">
      {found.tests.length === 0 ? null : (
        <Txt size="small" tone="faded" testID="understood">{`Understood: ${text}`}</Txt>
      )}
      <View className="flex-row flex-wrap gap-x-5">
        <Act
          label="Choose all"
          icon={ListChecks}
          tone="faded"
          onPress={() => void chooseAll()}
          testID="choose-found"
        />
        <Act
          label="Keep as a list"
          icon={ListPlus}
          tone="faded"
          onPress={() => void keep()}
          testID="keep-found"
        />
      </View>
    </View>
  );
}
