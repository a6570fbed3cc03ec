import { type ReactNode, useEffect, useState } from 'react';
import { ScrollView, View } from 'react-native';

import { selectOrganisations } from '@/book/card';
import {
  selectRowsByUid,
  selectSettings,
  selectSummaries,
  useAppSelector,
  useCardGetter,
} from '@/book/state';
import { useTalksWith } from '@/book/talks';
import { useBundle } from '@/book/tidy';
import { type Card, cardValues } from '@/core/card';
import { jointCard } from '@/core/tidy';
import { localDay, LOCALE, timeIn } from '@/platform';
import { texts } from '@/texts/card/card';
import { Coming, Tabs, useWide } from '@/ui';

import { ArchivedHint } from './ArchivedHint';
import { BundledHint, BundlePart } from './BundlePart';
import { CardFoot } from './CardFoot';
import { CardLists } from './CardLists';
import { DuplicateHint } from './DuplicateHint';
import { Brief } from './parts/Brief';
import { beginsWithDetails, hasBegun } from './parts/firstShown';
import { ValueRows } from './parts/ValueRows';
import { QuietActs } from './QuietActs';
import { ReachRow } from './ReachRow';
import { PlanActs, PlannedPart } from './talk/PlannedPart';
import { TalksPart } from './talk/TalksPart';

interface OpenCardProps {
  readonly card: Card;
  /** Beside another page, where there is less room. */
  readonly isPane?: boolean;
}

/** What a card shows: what to know, what to do, then the talks and the details, side by side or one at a time. */
export function OpenCard({ card, isPane = false }: OpenCardProps) {
  const { others, lead } = useBundle(card);
  // What was said last stands above the rest, and would move it when it comes.
  const { isKnown } = useTalksWith([card.uid, ...others.map(({ uid }) => uid)]);
  const joint = jointCard(card, others);
  return (
    <ScrollView>
      <Brief card={joint} isPane={isPane} />
      {isKnown ? (
        <Body card={card} joint={joint} others={others} lead={lead} isPane={isPane} />
      ) : (
        <View className="px-5 pt-2 wide:px-6">
          <Coming />
        </View>
      )}
    </ScrollView>
  );
}

interface BodyProps extends Required<OpenCardProps>, ReturnType<typeof useBundle> {
  /** With what the cards say that it stands for. */
  readonly joint: Card;
}

function Body({ card, joint, others, lead, isPane }: BodyProps) {
  const { isWide, hasMargin, hasRoom } = useWide();
  const { country } = useAppSelector(selectSettings);
  const isGroup = card.kind === 'group';
  const hasBoth = isPane ? hasRoom : hasMargin;
  const talks = <TalksPart card={card} others={others} isTitled={hasBoth} />;
  const details = <Details card={card} others={others} />;
  return (
    <View className={isWide ? 'px-6' : 'px-5'}>
      <View className="min-h-[60px] flex-row flex-wrap items-center justify-between gap-x-2 border-b border-rule py-2">
        <ReachRow card={joint} own={isGroup ? undefined : card} country={country} hasPlans={hasBoth} />
        {isWide ? <QuietActs card={card} iconOnly={!hasRoom} /> : null}
      </View>
      <ArchivedHint card={card} />
      {lead ? <BundledHint lead={lead} /> : null}
      <DuplicateHint uid={card.uid} />
      {isGroup ? null : <PlannedPart card={card} />}
      {isGroup ? (
        details
      ) : hasBoth ? (
        <View className="flex-row gap-10">
          <View className="min-w-0 flex-1">{talks}</View>
          <View className="w-[400px] border-l border-rule pl-6">{details}</View>
        </View>
      ) : (
        <OneOfTwo card={card} talks={talks} details={details} />
      )}
    </View>
  );
}

interface OneOfTwoProps {
  readonly card: Card;
  readonly talks: ReactNode;
  readonly details: ReactNode;
}

/** Where there is no room for both: the talks, or the details; begun with what there is. */
function OneOfTwo({ card, talks, details }: OneOfTwoProps) {
  const count = useAppSelector((state) => selectSummaries(state).get(card.uid))?.count ?? 0;
  const [chosen, setChosen] = useState<'talks' | 'details' | undefined>(() =>
    beginsWithDetails(card.uid) ? 'details' : undefined,
  );
  useEffect(() => hasBegun(card.uid), [card.uid]);
  const [hadTalks, setHadTalks] = useState(false);
  if (count > 0 && !hadTalks) setHadTalks(true);
  // A talk that is deleted doesn't turn the page over.
  const shown = chosen ?? (hadTalks ? 'talks' : 'details');
  return (
    <>
      <View className="flex-row flex-wrap items-center justify-between border-b border-rule pt-1">
        <Tabs
          name={texts.shownOfCard}
          options={[
            ['talks', texts.talksCounted(count)],
            ['details', texts.details],
          ]}
          value={shown}
          onChange={setChosen}
        />
        <View className="flex-row">
          <PlanActs card={card} />
        </View>
      </View>
      {shown === 'talks' ? talks : details}
    </>
  );
}

function Details({ card, others }: { readonly card: Card; readonly others: readonly Card[] }) {
  const { country, leapDay } = useAppSelector(selectSettings);
  const rows = useAppSelector(selectRowsByUid);
  const organisations = useAppSelector(selectOrganisations);
  const getCard = useCardGetter();
  const show = {
    country,
    locale: LOCALE,
    today: localDay(),
    nameOf: (uid: string) => rows.get(uid)?.shown,
    leapDay,
    timeIn,
    organisationOf: (name: string) => getCard(organisations.findOrganisation(name) ?? ''),
    peopleOf: (name: string) => organisations.findPeople(name).flatMap((uid) => getCard(uid) ?? []),
  };
  const groupsOf = (one: Card) => cardValues(one, show);
  return (
    <>
      <ValueRows card={card} groups={groupsOf(card)} />
      <BundlePart lead={card} others={others} groupsOf={groupsOf} />
      <CardLists card={card} />
      <CardFoot card={card} />
    </>
  );
}
