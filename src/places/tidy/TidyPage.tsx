import { ScrollView, View } from 'react-native';

import { useUnfiled } from '@/book/talks';
import { useDuplicates, useFaults } from '@/book/tidy';
import { texts } from '@/texts/tidy/tidy';
import { Txt, usePageTitle, useWide } from '@/ui';

import { DuplicatesPart } from './DuplicatesPart';
import { FaultsPart } from './FaultsPart';
import { StatePart } from './StatePart';
import { UnfiledPart } from './UnfiledPart';

/** The place where a book is put in order. */
export function TidyPage() {
  usePageTitle(texts.tidy);
  const { isWide } = useWide();
  const duplicates = useDuplicates();
  const faults = useFaults();
  const unfiled = useUnfiled();
  return (
    <ScrollView testID="tidy-page">
      <View className={`max-w-[760px] gap-5 pb-8 pt-4 ${isWide ? 'px-6' : 'px-5'}`}>
        <Txt font="serif" size="head" heading={1}>
          {texts.tidy}
        </Txt>
        <StatePart clusters={duplicates.clusters} faults={faults} unfiled={unfiled} />
        <DuplicatesPart {...duplicates} />
        <FaultsPart faults={faults} />
        {unfiled ? <UnfiledPart unfiled={unfiled} /> : <Txt tone="faded">{texts.checking}</Txt>}
      </View>
    </ScrollView>
  );
}
