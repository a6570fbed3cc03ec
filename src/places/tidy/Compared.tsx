import { useEffect, useState } from 'react';
import { View } from 'react-native';

import { selectRowsByUid, selectSettings, useAppDispatch, useAppSelector, useServices } from '@/book/state';
import { bundleInBook, keepApart, mergeInBook } from '@/book/tidy';
import { type Card, type cardValues, shownAs, type Uid, type ValueGroup } from '@/core/card';
import { findDifferent, type MergeChoices } from '@/core/tidy';
import { cardPath, localDay, LOCALE } from '@/platform';
import { go } from '@/platform/navigation';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/tidy/tidy';
import {
  Act,
  Choice,
  Coming,
  LabelledRow,
  Layers,
  Merge,
  NextAct,
  Split,
  Txt,
  useLoaded,
  useWide,
} from '@/ui';

import { CompareColumns, type GroupsOf } from './CompareColumns';

/** Loads what displays the values of a card, which brings the numbering plans along. */
export type LoadShowing = () => Promise<{ readonly cardValues: typeof cardValues }>;

/** What comparing cards needs. */
export interface CompareProps {
  readonly loadShowing: LoadShowing;
}

interface ComparedProps extends CompareProps {
  readonly cards: readonly Card[];
  /** Stands beside the duplicates: when it is done with, the next of them takes its place. */
  readonly isPane?: boolean;
}

export function Compared({ cards, loadShowing, isPane = false }: ComparedProps) {
  const dispatch = useAppDispatch();
  const { hasRoom } = useWide();
  const { country } = useAppSelector(selectSettings);
  const [name, setName] = useState<Uid>();
  const [birthday, setBirthday] = useState<Uid>();
  const [singles, setSingles] = useState<NonNullable<MergeChoices['singles']>>({});
  const { groupsOf, isLoaded } = useGroups(loadShowing);
  const choices = {
    ...{ country, singles },
    ...(name === undefined ? {} : { name }),
    ...(birthday === undefined ? {} : { birthday }),
  };
  const result = usePreview(cards, choices);
  const uids = cards.map(({ uid }) => uid);
  const births = cards.filter(({ anniversaries }) =>
    Object.values(anniversaries ?? {}).some(({ kind }) => kind === 'birth'),
  );
  // The card with the name that was chosen stands for the others.
  const inOrder = [...uids].sort(
    (a, b) => Number(b === (name ?? result?.uid)) - Number(a === (name ?? result?.uid)),
  );
  const merge = async () => {
    const change = await dispatch(mergeInBook([uids], choices));
    if (change && result && !isPane) go(cardPath(result.uid), 'replace');
  };
  // All at once: what comes later would move what stands below it.
  if (!isLoaded || !result) return <Coming />;
  const choice = (
    <>
      <CompareColumns cards={cards} groupsOf={groupsOf} />
      {cards.length > 1 ? (
        <View>
          <Txt size="small" tone="faded">
            {texts.nameToKeepOther}
          </Txt>
          <Choice
            name={texts.nameToKeep}
            options={cards.map((card) => [card.uid, shownAs(card) || shared.noName] as const)}
            value={cards.find((card) => shownAs(card) === shownAs(result))?.uid}
            onChange={setName}
          />
        </View>
      ) : null}
      {new Set(births.map((card) => birthOf(card, groupsOf))).size > 1 ? (
        <View>
          <Txt size="small" tone="faded">
            {texts.birthdayToKeep}
          </Txt>
          <Choice
            name={texts.birthdayToKeep}
            options={births.map((card) => [card.uid, birthOf(card, groupsOf)] as const)}
            value={birthday ?? births[0]?.uid}
            onChange={setBirthday}
          />
        </View>
      ) : null}
      {findDifferent(cards).map(({ key, label, options }) => (
        <View key={key}>
          <Txt size="small" tone="faded">
            {texts.toKeep(label)}
          </Txt>
          <Choice
            name={texts.toKeep(label)}
            options={options}
            value={singles[key] ?? options[0]?.[0]}
            onChange={(uid) => setSingles({ ...singles, [key]: uid })}
          />
        </View>
      ))}
    </>
  );
  const outcome = (
    <>
      <View className="gap-2" testID="merge-preview">
        <Txt font="serif" size="title" heading={2}>
          {texts.resultOfMerging}
        </Txt>
        <Txt font="serif" size="strong">
          {shownAs(result)}
        </Txt>
        {groupsOf(result).map((group) => (
          <Group key={group.label} group={group} />
        ))}
      </View>
      <NextAct
        label={texts.mergeCards(cards.length)}
        icon={Merge}
        onPress={() => void merge()}
        testID="merge-compared"
      />
      <View className="flex-row flex-wrap gap-x-5">
        <Act
          label={texts.showAsOneKeep}
          icon={Layers}
          tone="faded"
          onPress={() => void dispatch(bundleInBook(inOrder)).then(() => go(cardPath(inOrder[0] ?? '')))}
          testID="bundle-compared"
        />
        <Act
          label={texts.notSameKeepApart}
          icon={Split}
          tone="faded"
          onPress={() => void dispatch(keepApart(uids)).then(() => (isPane ? undefined : go('/tidy')))}
          testID="apart-compared"
        />
      </View>
    </>
  );
  if (!isPane || !hasRoom)
    return (
      <>
        {choice}
        {outcome}
      </>
    );
  return (
    <View className="flex-row gap-10">
      <View className="min-w-0 flex-1 gap-5">{choice}</View>
      <View className="w-[460px] gap-5">{outcome}</View>
    </View>
  );
}

/** The card that merging would give; undefined until it has been worked out. */
function usePreview(cards: readonly Card[], choices: MergeChoices): Card | undefined {
  const { mergeCards } = useServices();
  const [result, setResult] = useState<Card>();
  const key = JSON.stringify([cards.map(({ uid, updated }) => [uid, updated]), choices]);
  useEffect(() => {
    let isCurrent = true;
    void mergeCards([cards], choices).then(([merged]) => {
      if (isCurrent) setResult(merged);
    });
    return () => {
      isCurrent = false;
    };
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the key stands for the cards and the choices
  }, [key, mergeCards]);
  return result;
}

/** The values of a card by their words, as its page shows them; none until what says them has been loaded. */
function useGroups(loadShowing: CompareProps['loadShowing']): {
  readonly groupsOf: GroupsOf;
  readonly isLoaded: boolean;
} {
  const rows = useAppSelector(selectRowsByUid);
  const { country, leapDay } = useAppSelector(selectSettings);
  const show = useLoaded(loadShowing);
  const groupsOf: GroupsOf = (card) =>
    show?.cardValues(card, {
      ...{ country, leapDay, locale: LOCALE, today: localDay(), isToKeep: true },
      nameOf: (uid) => rows.get(uid)?.shown,
    }) ?? [];
  return { groupsOf, isLoaded: show !== undefined };
}

function birthOf(card: Card, groupsOf: GroupsOf): string {
  const group = groupsOf(card).find(({ values }) =>
    values.some(({ collection }) => collection === 'anniversaries'),
  );
  return group?.values[0]?.lines.join(' ') ?? '';
}

function Group({ group: { label, values } }: { readonly group: ValueGroup }) {
  return (
    <LabelledRow label={label}>
      {values.map(({ id, lines }) => (
        <Txt key={id}>{lines.join(', ')}</Txt>
      ))}
    </LabelledRow>
  );
}
