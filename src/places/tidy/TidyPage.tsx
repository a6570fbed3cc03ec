import { useState } from 'react';
import { ScrollView, View } from 'react-native';

import { useUnfiled } from '@/book/talks';
import { useDuplicates, useFaults } from '@/book/tidy';
import { texts } from '@/texts/tidy/tidy';
import { Coming, Panes, Txt, usePageTitle, useWide } from '@/ui';

import { type LoadShowing } from './Compared';
import { ComparePane } from './ComparePage';
import { DuplicatesPart, Looking } from './DuplicatesPart';
import { FaultsPart } from './FaultsPart';
import { StatePart } from './StatePart';
import { UnfiledPart } from './UnfiledPart';

interface TidyProps {
  /** Loads what displays the values of a card, which brings the numbering plans along. */
  readonly loadShowing: LoadShowing;
}

/** The place where a book is put in order; on a wide screen with the chosen duplicates side by side. */
export function TidyPage({ loadShowing }: TidyProps) {
  usePageTitle(texts.tidy);
  const { isWide } = useWide();
  const duplicates = useDuplicates();
  const faults = useFaults();
  const unfiled = useUnfiled();
  const [chosen, setChosen] = useState<string>();
  const clusters = duplicates.clusters ?? [];
  const open = clusters.find(({ uids }) => uids.join() === chosen) ?? clusters[0];
  // What is found would move all that stood below it: until all is known, only how far looking is stands there.
  const [hasBegun, setBegun] = useState(false);
  if (duplicates.share01 !== undefined && !hasBegun) setBegun(true);
  const isStopped = hasBegun && duplicates.share01 === undefined;
  const isKnown = (duplicates.clusters !== undefined || isStopped) && unfiled !== undefined;
  const page = (
    <ScrollView testID="tidy-page">
      <View className={`max-w-[760px] gap-5 pb-8 pt-4 ${isWide ? 'px-6' : 'px-5'}`}>
        <Txt font="serif" size="head" heading={1}>
          {texts.tidy}
        </Txt>
        {isKnown ? (
          <>
            <StatePart clusters={duplicates.clusters} faults={faults} unfiled={unfiled} />
            <DuplicatesPart
              {...duplicates}
              {...(isWide ? { open, onOpen: ({ uids }) => setChosen(uids.join()) } : {})}
            />
            <FaultsPart faults={faults} />
            <UnfiledPart unfiled={unfiled} />
          </>
        ) : duplicates.share01 === undefined ? (
          <Coming />
        ) : (
          <Looking share01={duplicates.share01} />
        )}
      </View>
    </ScrollView>
  );
  if (!isWide) return page;
  return (
    <Panes name="tidy" width={440} min={360} list={page}>
      {open ? <ComparePane uids={open.uids} loadShowing={loadShowing} /> : null}
    </Panes>
  );
}
