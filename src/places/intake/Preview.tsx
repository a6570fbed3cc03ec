import { useState } from 'react';
import { View } from 'react-native';

import { useCardGetter } from '@/book';
import { type Card, secondLine, shownAs } from '@/core/card';
import { changedValues } from '@/core/intake';
import { formatCount } from '@/platform';
import { Act, NextAct, Switch, Txt } from '@/ui';

import { Problems } from './Problems';
import type { ImportPreview } from './useImport';

/** Cards named in a part at first; the rest are counted until asked for. */
const SHOWN_AT_FIRST = 8;
/** Cards named at most: a page with ten thousand lines helps nobody. */
const SHOWN_AT_MOST = 200;

interface PreviewProps {
  readonly preview: ImportPreview;
  readonly onImport: (cards: readonly Card[]) => void;
  readonly onDrop: () => void;
}

/** What an import would do, part by part; nothing has been changed yet. */
export function Preview({ preview, onImport, onDrop }: PreviewProps) {
  const { fresh, same, different } = preview.intake;
  const [takeNew, setTakeNew] = useState(true);
  const [takeDifferent, setTakeDifferent] = useState(false);
  const cards = [...(takeNew ? fresh : []), ...(takeDifferent ? different : [])];
  const hasNews = fresh.length + different.length > 0;
  return (
    <View className="gap-5" testID="import-preview">
      <Txt tone="faded">{`From ${preview.source}. Nothing has been changed yet.`}</Txt>
      {fresh.length > 0 ? (
        <View>
          <Switch
            label={`${formatCount(fresh.length, 'new card', 'new cards')}`}
            hint="Not in the book"
            isOn={takeNew}
            onChange={setTakeNew}
            testID="take-new"
          />
          <Names cards={fresh} />
        </View>
      ) : null}
      {different.length > 0 ? (
        <View>
          <Switch
            label={`${formatCount(different.length, 'card', 'cards')} already here, but different`}
            hint="Taking them puts the file’s card in place of yours"
            isOn={takeDifferent}
            onChange={setTakeDifferent}
            testID="take-different"
          />
          <Names cards={different} isCompared />
        </View>
      ) : null}
      {same.length > 0 ? (
        <Txt>{`${formatCount(same.length, 'card is', 'cards are')} already here and the same; nothing to do.`}</Txt>
      ) : null}
      <Problems problems={preview.problems} />
      {hasNews ? null : <Txt font="sansBold">There is nothing new in it.</Txt>}
      <View className="flex-row items-center gap-4">
        {hasNews ? (
          <NextAct
            label={
              cards.length === 0 ? 'Nothing chosen' : `Import ${formatCount(cards.length, 'card', 'cards')}`
            }
            isDisabled={cards.length === 0}
            onPress={() => onImport(cards)}
            testID="do-import"
          />
        ) : null}
        <Act label={hasNews ? 'Leave it' : 'Choose another file'} tone="faded" onPress={onDrop} />
      </View>
    </View>
  );
}

function Names({
  cards,
  isCompared = false,
}: {
  readonly cards: readonly Card[];
  readonly isCompared?: boolean;
}) {
  const [isAll, setAll] = useState(false);
  const getCard = useCardGetter();
  const shown = cards.slice(0, isAll ? SHOWN_AT_MOST : SHOWN_AT_FIRST);
  const rest = cards.length - shown.length;
  const lineOf = (card: Card) => {
    const known = isCompared ? getCard(card.uid) : undefined;
    return known ? `Differs in: ${changedValues(known, card).join(', ')}` : secondLine(card);
  };
  return (
    <View className="pl-3">
      {shown.map((card) => (
        <View key={card.uid} className="border-b border-rule py-2">
          <Txt font="serif" size="strong">
            {shownAs(card) || 'No name'}
          </Txt>
          <Txt size="small" tone="faded">
            {lineOf(card)}
          </Txt>
        </View>
      ))}
      {rest > 0 && !isAll ? (
        <View className="flex-row">
          <Act label={`Show more (${rest})`} onPress={() => setAll(true)} />
        </View>
      ) : null}
      {rest > 0 && isAll ? (
        <Txt size="small" tone="faded">{`and ${formatCount(rest, 'more', 'more')}`}</Txt>
      ) : null}
    </View>
  );
}
