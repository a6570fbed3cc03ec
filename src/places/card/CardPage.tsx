import { useLocalSearchParams } from 'expo-router';
import { View } from 'react-native';

import { selectRowsByUid, useAppSelector, useCard } from '@/book/state';
import { type Card, shownAs, type Uid } from '@/core/card';
import { uidFromPath } from '@/platform';
import { go } from '@/platform/navigation';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/card/card';
import { PageBar, usePageTitle, useWide } from '@/ui';

import { OpenCard } from './OpenCard';
import { NoSuchCard } from './parts/NoSuchCard';
import { QuietActs } from './QuietActs';
import { useCardKeys } from './useCardKeys';

/** The page of one card. */
export function CardPage() {
  const { card: part = '' } = useLocalSearchParams<{ card: string }>();
  const card = useCard(uidFromPath(part));
  if (card === undefined) return null;
  if (card === null) return <NoSuchCard uid={uidFromPath(part)} />;
  return <WholePage key={card.uid} card={card} />;
}

/** A card beside another page, from which it was chosen. */
export function CardPane({ uid }: { readonly uid: Uid }) {
  const card = useCard(uid);
  return card ? (
    <View className="flex-1" testID="card-pane">
      <OpenCard key={uid} card={card} isPane />
    </View>
  ) : null;
}

function WholePage({ card }: { readonly card: Card }) {
  const { isWide } = useWide();
  const rows = useAppSelector(selectRowsByUid);
  useCardKeys(card);
  usePageTitle((rows.get(card.uid)?.shown ?? shownAs(card)) || shared.noNameYet);
  return (
    <View className="flex-1" testID="card-page">
      {isWide ? null : (
        <PageBar backLabel={texts.book} onBack={() => go('/book')}>
          <QuietActs card={card} iconOnly />
        </PageBar>
      )}
      <OpenCard card={card} />
    </View>
  );
}
