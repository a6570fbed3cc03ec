import { useLocalSearchParams } from 'expo-router';
import { ScrollView, View } from 'react-native';

import { selectOrganisations } from '@/book/card';
import { selectRowsByUid, selectSettings, useAppSelector, useCard, useCardGetter } from '@/book/state';
import { useBundle } from '@/book/tidy';
import { type Card, cardValues, shownAs } from '@/core/card';
import { jointCard } from '@/core/tidy';
import { localDay, LOCALE, timeIn, uidFromPath } from '@/platform';
import { go } from '@/platform/navigation';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/card/card';
import { PageBar, usePageTitle, useWide } from '@/ui';

import { BundledHint, BundlePart } from './BundlePart';
import { CardActs } from './CardActs';
import { CardFoot } from './CardFoot';
import { CardLists } from './CardLists';
import { DuplicateHint } from './DuplicateHint';
import { Brief } from './parts/Brief';
import { NoSuchCard } from './parts/NoSuchCard';
import { ValueRows } from './parts/ValueRows';
import { ReachRow } from './ReachRow';
import { PlannedPart } from './talk/PlannedPart';
import { TalksPart } from './talk/TalksPart';
import { useCardKeys } from './useCardKeys';

/** The page of one card. */
export function CardPage() {
  const { card: part = '' } = useLocalSearchParams<{ card: string }>();
  const card = useCard(uidFromPath(part));
  if (card === undefined) return null;
  if (card === null) return <NoSuchCard uid={uidFromPath(part)} />;
  return <OpenCard key={card.uid} card={card} />;
}

function OpenCard({ card }: { readonly card: Card }) {
  const { isWide, hasMargin } = useWide();
  const { country, leapDay } = useAppSelector(selectSettings);
  const rows = useAppSelector(selectRowsByUid);
  const nameOf = (uid: string) => rows.get(uid)?.shown;
  const organisations = useAppSelector(selectOrganisations);
  const getCard = useCardGetter();
  const { others, lead } = useBundle(card);
  const joint = jointCard(card, others);
  const show = {
    country,
    locale: LOCALE,
    today: localDay(),
    nameOf,
    leapDay,
    timeIn,
    organisationOf: (name: string) => getCard(organisations.findOrganisation(name) ?? ''),
    peopleOf: (name: string) => organisations.findPeople(name).flatMap((uid) => getCard(uid) ?? []),
  };
  const groupsOf = (one: Card) => cardValues(one, show);
  useCardKeys(card);
  usePageTitle((nameOf(card.uid) ?? shownAs(card)) || shared.noNameYet);
  const talks =
    card.kind === 'group' ? null : (
      <>
        <PlannedPart card={card} />
        <TalksPart card={card} others={others} />
      </>
    );
  const values = (
    <>
      <ValueRows card={card} groups={groupsOf(card)} />
      <BundlePart lead={card} others={others} groupsOf={groupsOf} />
      <CardLists card={card} />
      <CardFoot card={card} />
    </>
  );
  return (
    <View className="flex-1" testID="card-page">
      {isWide ? null : <PageBar backLabel={texts.book} onBack={() => go('/book')} />}
      <ScrollView>
        <Brief card={joint} />
        {lead ? <BundledHint lead={lead} /> : null}
        <DuplicateHint uid={card.uid} />
        <View className={isWide ? 'px-6' : 'px-5'}>
          <ReachRow card={joint} country={country} />
          <CardActs card={card} />
          {hasMargin ? (
            <View className="flex-row gap-10">
              <View className="min-w-0 flex-1">{talks}</View>
              <View className="w-[400px] border-l border-rule pl-6">{values}</View>
            </View>
          ) : (
            <>
              {values}
              {talks}
            </>
          )}
        </View>
      </ScrollView>
    </View>
  );
}
