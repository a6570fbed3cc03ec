import { type ComponentType, Suspense, useState } from 'react';
import { View } from 'react-native';

import { choosingBegan, choosingEnded, selectIsChoosing, useAppDispatch, useAppSelector } from '@/book/state';
import type { Uid } from '@/core/card';
import { go } from '@/platform/navigation';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/find/table';
import { Act, Columns3, EmptyPlace, Eye, ListChecks, Rows3, Txt, usePageTitle, useWide } from '@/ui';

import { ColumnsSheet } from './ColumnsSheet';
import { Grid } from './Grid';
import { useColumns } from './useCardTable';
import { useLook } from './useLook';
import { useTableCards } from './useTableCards';
import type { LoadWriting } from './useWriting';
import { ViewsSheet } from './ViewsSheet';
import { WhoChoice } from './WhoChoice';

interface TablePageProps {
  /** What can be done with the chosen ones; it is another place's, as it is done to cards. */
  readonly ChosenBar: ComponentType<{ readonly shown: readonly Uid[] }>;
  /** Loads what writes cells, which is part of what edits cards. */
  readonly loadWriting: LoadWriting;
}

const NOBODY: never[] = [];

/** The Book as a table. */
export function TablePage({ ChosenBar, loadWriting }: TablePageProps) {
  usePageTitle(texts.table);
  const { isWide } = useWide();
  const dispatch = useAppDispatch();
  const { look } = useLook();
  const cards = useTableCards(look.who);
  const columns = useColumns(cards ?? NOBODY);
  const isChoosing = useAppSelector(selectIsChoosing);
  const [sheet, setSheet] = useState<'columns' | 'views'>();
  if (!isWide)
    return (
      <EmptyPlace title={texts.tableTitle} text={texts.itNeedsScreenAtLeast}>
        <View className="flex-row">
          <Act label={texts.bookAsRows} icon={Rows3} onPress={() => go('/book')} />
        </View>
      </EmptyPlace>
    );
  return (
    <View className="flex-1" testID="table-page">
      <View className="flex-row flex-wrap items-center gap-x-6 border-b border-rule px-5 py-2">
        <Txt font="serif" size="head" heading={1}>
          {texts.book}
        </Txt>
        <WhoChoice />
        <Txt size="small" tone="faded" isFigures testID="table-count">
          {cards ? shared.cardCount(cards.length) : ''}
        </Txt>
        <View className="flex-1" />
        <View className="flex-row gap-4">
          <Act label={texts.asRows} icon={Rows3} onPress={() => go('/book')} testID="as-rows" />
          <Act
            label={isChoosing ? texts.stopSelecting : texts.selectSeveral}
            icon={ListChecks}
            onPress={() => dispatch(isChoosing ? choosingEnded() : choosingBegan())}
          />
          <Act
            label={texts.columns}
            icon={Columns3}
            onPress={() => setSheet('columns')}
            testID="table-columns"
          />
          <Act label={texts.views} icon={Eye} onPress={() => setSheet('views')} testID="table-views" />
        </View>
      </View>
      {cards ? <Grid cards={cards} columns={columns} loadWriting={loadWriting} /> : null}
      {isChoosing ? (
        <Suspense fallback={null}>
          <ChosenBar shown={(cards ?? NOBODY).map(({ uid }) => uid)} />
        </Suspense>
      ) : null}
      {sheet === 'columns' ? <ColumnsSheet columns={columns} onClose={() => setSheet(undefined)} /> : null}
      {sheet === 'views' ? <ViewsSheet onClose={() => setSheet(undefined)} /> : null}
    </View>
  );
}
