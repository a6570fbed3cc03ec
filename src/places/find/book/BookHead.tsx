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
import { formatCount } from '@/platform';
import { go } from '@/platform/navigation';
import { Act, ArrowDownAZ, ListChecks, MapLeaf, Plus, Settings2, Table2, Tabs, Txt, useWide } from '@/ui';

import { OrderSheet } from './OrderSheet';

const FILTERS = [
  ['all', 'All'],
  ['people', 'People'],
  ['organisations', 'Organisations'],
] as const;

const ORDER_WORDS = {
  surname: 'surname',
  given: 'given name',
  organisation: 'organisation',
  place: 'place',
  added: 'date added',
  talk: 'last talk',
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
  const counts = `${formatCount(people, 'person', 'people')} · ${formatCount(organisations, 'organisation', 'organisations')}`;
  return (
    <View className="border-b border-rule px-5 pt-4">
      <View className="flex-row items-center justify-between">
        <Txt font="serif" size="head" heading={1}>
          Book
        </Txt>
        <View className="flex-row items-center gap-1">
          <Act label="New card" icon={Plus} onPress={() => go('/book/new')} testID="new-card" />
          <Act
            label="Map of where people are"
            icon={MapLeaf}
            iconOnly
            tone="faded"
            onPress={() => go('/book/map')}
            testID="as-map"
          />
          {isWide ? null : (
            <Act
              label="Settings, import and export"
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
        <Tabs name="Which cards" options={FILTERS} value={filter} onChange={onFilter} />
        <View className="flex-row items-center gap-1">
          <Act
            label="Select several"
            icon={ListChecks}
            iconOnly
            tone="faded"
            onPress={() => dispatch(choosingBegan())}
            testID="choose-several"
          />
          {isWide ? (
            <Act
              label="As a table"
              icon={Table2}
              iconOnly
              tone="faded"
              onPress={() => go('/book/table')}
              testID="as-table"
            />
          ) : null}
          <Act
            label={`Order: ${ORDER_WORDS[sortBy]}`}
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
