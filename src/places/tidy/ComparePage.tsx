import { useLocalSearchParams } from 'expo-router';
import { ScrollView, View } from 'react-native';

import { selectCardsByUid, useAppSelector } from '@/book/state';
import { type Uid } from '@/core/card';
import { go } from '@/platform/navigation';
import { texts } from '@/texts/tidy/tidy';
import { Act, OverPage, Txt, usePageTitle, useWide } from '@/ui';

import { Compared, type CompareProps } from './Compared';

/**
 * Cards side by side, field by field; which name, birthday and other single values to keep; and what merging would
 * give.
 */
export function ComparePage({ loadShowing }: CompareProps) {
  usePageTitle(texts.compare);
  const { cards: asked = '' } = useLocalSearchParams<{ cards: string }>();
  const byUid = useAppSelector(selectCardsByUid);
  const cards = asked.split(',').flatMap((uid) => byUid.get(uid) ?? []);
  return (
    <OverPage
      title={texts.sideBySide}
      backLabel={texts.tidy}
      onBack={() => go('/tidy')}
      className="gap-5"
      testID="compare-page"
    >
      {cards.length < 2 ? (
        <View className="gap-1">
          <Txt tone="faded">{texts.theseCardsHaveBeen}</Txt>
          <View className="flex-row">
            <Act label={texts.backToTidy} onPress={() => go('/tidy')} />
          </View>
        </View>
      ) : (
        <Compared cards={cards} loadShowing={loadShowing} />
      )}
    </OverPage>
  );
}

/** The cards of some duplicates beside the list of all. */
export function ComparePane({ uids, loadShowing }: CompareProps & { readonly uids: readonly Uid[] }) {
  const byUid = useAppSelector(selectCardsByUid);
  const cards = uids.flatMap((uid) => byUid.get(uid) ?? []);
  const { hasRoom } = useWide();
  if (cards.length < 2) return null;
  return (
    <ScrollView testID="compare-pane">
      <View className={`gap-5 px-6 pb-8 pt-5 ${hasRoom ? '' : 'max-w-[760px]'}`}>
        <Txt font="serif" size="title" heading={2}>
          {texts.sideBySide}
        </Txt>
        <Compared key={uids.join()} cards={cards} loadShowing={loadShowing} isPane />
      </View>
    </ScrollView>
  );
}
