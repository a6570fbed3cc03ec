import { useLocalSearchParams } from 'expo-router';
import { useEffect, useState } from 'react';
import { ScrollView, View } from 'react-native';

import {
  selectCardsByUid,
  selectRowsByUid,
  selectSettings,
  useAppDispatch,
  useAppSelector,
  useServices,
} from '@/book/state';
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
  LabelledRow,
  Layers,
  Merge,
  NextAct,
  OverPage,
  Split,
  Txt,
  useLoaded,
  usePageTitle,
  useWide,
} from '@/ui';

/** Width of a card's column in pixels: two fit side by side on a phone, more are reached by scrolling. */
const COLUMN = 168;
/** The same where there is room. */
const WIDE_COLUMN = 280;

/** Loads what displays the values of a card, which brings the numbering plans along. */
export type LoadShowing = () => Promise<{ readonly cardValues: typeof cardValues }>;

interface CompareProps {
  readonly loadShowing: LoadShowing;
}

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

interface ComparedProps extends CompareProps {
  readonly cards: readonly Card[];
  /** Stands beside the duplicates: when it is done with, the next of them takes its place. */
  readonly isPane?: boolean;
}

/** The cards of some duplicates beside the list of all. */
export function ComparePane({ uids, loadShowing }: CompareProps & { readonly uids: readonly Uid[] }) {
  const byUid = useAppSelector(selectCardsByUid);
  const cards = uids.flatMap((uid) => byUid.get(uid) ?? []);
  if (cards.length < 2) return null;
  return (
    <ScrollView testID="compare-pane">
      <View className="max-w-[760px] gap-5 px-6 pb-8 pt-5">
        <Txt font="serif" size="title" heading={2}>
          {texts.sideBySide}
        </Txt>
        <Compared key={uids.join()} cards={cards} loadShowing={loadShowing} isPane />
      </View>
    </ScrollView>
  );
}

function Compared({ cards, loadShowing, isPane = false }: ComparedProps) {
  const dispatch = useAppDispatch();
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
  if (!isLoaded || !result) return <Txt tone="faded">{texts.calculating}</Txt>;
  return (
    <>
      <Columns cards={cards} groupsOf={groupsOf} />
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
      {births.length > 1 ? (
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

type GroupsOf = (card: Card) => readonly ValueGroup[];

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

/** Each field across the cards: what all have is faded, what only some have stands out. */
function Columns({ cards, groupsOf }: { readonly cards: readonly Card[]; readonly groupsOf: GroupsOf }) {
  const { isWide } = useWide();
  const width = isWide ? WIDE_COLUMN : COLUMN;
  const all = cards.map((card) => new Map(groupsOf(card).map((group) => [group.label, group])));
  const labels = [...new Set(all.flatMap((groups) => [...groups.keys()]))];
  return (
    <ScrollView horizontal>
      <View role="table" aria-label={texts.cardsSideBySide}>
        <View role="row" className="flex-row border-b border-rule">
          {cards.map((card) => (
            <View key={card.uid} role="columnheader" style={{ width }} className="py-2 pr-3">
              <Txt font="serif" size="strong">
                {shownAs(card) || shared.noName}
              </Txt>
            </View>
          ))}
        </View>
        {labels.map((label) => {
          const cells = all.map(
            (groups) => groups.get(label)?.values.map(({ lines }) => lines.join(', ')) ?? [],
          );
          const isSame = cells.every((cell) => cell.join('\n') === cells[0]?.join('\n'));
          return (
            <View key={label} role="row" className="border-b border-rule py-2">
              <View role="rowheader">
                <Txt size="small" tone="faded">
                  {isSame ? texts.same(label) : label}
                </Txt>
              </View>
              <View className="flex-row">
                {cells.map((cell, i) => (
                  <View key={cards[i]?.uid} role="cell" style={{ width }} className="pr-3">
                    {cell.length === 0 ? <Txt tone="faded">–</Txt> : null}
                    {cell.map((text) => (
                      <Txt key={text} tone={isSame ? 'faded' : 'ink'}>
                        {text}
                      </Txt>
                    ))}
                  </View>
                ))}
              </View>
            </View>
          );
        })}
      </View>
    </ScrollView>
  );
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
