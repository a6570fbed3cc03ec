import { useState } from 'react';
import { View } from 'react-native';

import {
  choosingBegan,
  type RowFilter,
  selectCounts,
  selectLeads,
  selectSettings,
  useAppDispatch,
  useAppSelector,
} from '@/book/state';
import { go } from '@/platform/navigation';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/find/book';
import { Act, ArrowDownAZ, ListChecks, MapLeaf, Plus, Settings2, Table2, Tabs, Txt, useWide } from '@/ui';

import { OrderSheet } from './OrderSheet';

const FILTERS = [
  ['all', texts.all],
  ['people', texts.people],
  ['organisations', texts.organisations],
] as const;

const ORDER_WORDS = {
  surname: 'surname',
  given: texts.givenName,
  organisation: 'organisation',
  place: 'place',
  added: texts.dateAdded,
  talk: texts.lastTalk,
  closeness: 'closeness',
} as const;

interface BookHeadProps {
  readonly filter: RowFilter;
  readonly onFilter: (filter: RowFilter) => void;
}

/** What the Book holds, which part of it is shown, in which order. */
export function BookHead({ filter, onFilter }: BookHeadProps) {
  const leads = useAppSelector(selectLeads);
  const { people, organisations } = useAppSelector((state) => selectCounts(state, leads));
  const { sortBy } = useAppSelector(selectSettings);
  const dispatch = useAppDispatch();
  const { isWide } = useWide();
  const [isOrderOpen, setOrderOpen] = useState(false);
  const counts = texts.peopleOrganisations(people, organisations);
  return (
    <View className="border-b border-rule px-5 pt-4">
      <View className="flex-row items-center justify-between">
        <Txt font="serif" size="head" heading={1}>
          {texts.book}
        </Txt>
        <View className="flex-row items-center gap-1">
          <Act label={shared.newCard} icon={Plus} onPress={() => go('/book/new')} testID="new-card" />
          <Act
            label={shared.mapOfWherePeople}
            icon={MapLeaf}
            iconOnly
            tone="faded"
            onPress={() => go('/book/map')}
            testID="as-map"
          />
          {isWide ? null : (
            <Act
              label={texts.settingsImportAndExport}
              icon={Settings2}
              iconOnly
              tone="faded"
              onPress={() => go('/settings')}
            />
          )}
        </View>
      </View>
      <Txt size="small" tone="faded" isFigures testID="book-counts">
        {counts}
      </Txt>
      <View className="flex-row flex-wrap items-center justify-between">
        <Tabs name={texts.whichCards} options={FILTERS} value={filter} onChange={onFilter} />
        <View className="flex-row items-center gap-1">
          <Act
            label={texts.selectSeveral}
            icon={ListChecks}
            iconOnly
            tone="faded"
            onPress={() => dispatch(choosingBegan())}
            testID="choose-several"
          />
          {isWide ? (
            <Act
              label={texts.asTable}
              icon={Table2}
              iconOnly
              tone="faded"
              onPress={() => go('/book/table')}
              testID="as-table"
            />
          ) : null}
          <Act
            label={texts.order(ORDER_WORDS[sortBy])}
            iconOnly
            icon={ArrowDownAZ}
            tone="faded"
            onPress={() => setOrderOpen(true)}
          />
        </View>
      </View>
      <OrderSheet isOpen={isOrderOpen} onClose={() => setOrderOpen(false)} />
    </View>
  );
}
