import { type ReactNode, useState } from 'react';
import { View } from 'react-native';

import type { ImportOptions } from '@/book/formats';
import { useCardGetter } from '@/book/state';
import { type Card, secondLine, shownAs } from '@/core/card';
import { changedValues, chooseValues, type ImportValue, type ValueSide } from '@/core/formats';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/formats/formats';
import { Act, NextAct, Switch, Tick, Txt } from '@/ui';

import type { ImportPreview } from './importState';
import { Problems } from './Problems';
import { ValueChoice } from './ValueChoice';

/** Cards named in a part at first; the rest are counted until asked for. */
const SHOWN_AT_FIRST = 8;
/** The most cards named: a page with ten thousand lines helps nobody. */
const SHOWN_AT_MOST = 200;

/** How cards that are in the book already are taken. */
export type ImportChoice = Pick<ImportOptions, 'isReplacing' | 'choose'>;

interface PreviewProps {
  readonly preview: ImportPreview;
  readonly onImport: (cards: readonly Card[], choice: ImportChoice) => void;
  readonly onDrop: () => void;
}

/** What an import would do, part by part and card by card; nothing has been changed yet. */
export function Preview({ preview, onImport, onDrop }: PreviewProps) {
  const { fresh, same, different, onto } = preview.intake;
  // New cards are taken unless left out; a card that would replace one only when chosen.
  const [left, setLeft] = useState<ReadonlySet<string>>(() => new Set(different.map(({ uid }) => uid)));
  const cards = [...fresh, ...different].filter(({ uid }) => !left.has(uid));
  const [isReplacing, setReplacing] = useState(false);
  const [keepsMine, setKeepsMine] = useState(false);
  /** By card and value: those that were chosen by hand. */
  const [chosen, setChosen] = useState<ReadonlyMap<string, boolean>>(new Map());
  const usual = ({ isConflict, isEntry }: ImportValue): ValueSide =>
    keepsMine && isConflict ? (isEntry ? 'both' : 'mine') : 'file';
  const sideOf = (uid: string, value: ImportValue): ValueSide => {
    const isTaken = chosen.get(`${uid} ${value.id}`);
    return isTaken === undefined
      ? usual(value)
      : isTaken
        ? keepsMine && value.isEntry
          ? 'both'
          : 'file'
        : 'mine';
  };
  const take = (uid: string, { id }: ImportValue, isOn: boolean) =>
    setChosen(new Map(chosen).set(`${uid} ${id}`, isOn));
  const chooseFor = (now: Card, merged: Card) => chooseValues(now, merged, (value) => sideOf(now.uid, value));
  const hasNews = fresh.length + different.length > 0;
  const choose = (some: readonly Card[], isOn: boolean) => {
    const next = new Set(left);
    for (const { uid } of some) {
      if (isOn) next.delete(uid);
      else next.add(uid);
    }
    setLeft(next);
  };
  return (
    <View className="gap-5" testID="import-preview">
      <Txt tone="faded">{texts.fromNothingHasBeen(preview.source)}</Txt>
      <Group
        title={texts.newCardCount(fresh.length)}
        hint={texts.notInBook}
        cards={fresh}
        left={left}
        onChoose={choose}
        testID="take-new"
      />
      <Group
        title={texts.cardsAlreadyHereBut(different.length)}
        hint={isReplacing ? texts.replacesYourCard : texts.addsToYourCard}
        cards={different}
        left={left}
        onChoose={choose}
        becomes={(card) => (isReplacing ? card : (onto.get(card.uid) ?? card))}
        values={
          isReplacing
            ? undefined
            : (now, merged) => (
                <ValueChoice
                  name={shownAs(now)}
                  now={now}
                  merged={merged}
                  sideOf={(value) => sideOf(now.uid, value)}
                  onTake={(value, isOn) => take(now.uid, value, isOn)}
                />
              )
        }
        testID="take-different"
      />
      {different.length === 0 || isReplacing ? null : (
        <Switch
          label={texts.keepMine}
          hint={texts.keepMineHint}
          isOn={keepsMine}
          onChange={(isOn) => {
            setKeepsMine(isOn);
            setChosen(new Map());
          }}
          testID="keep-mine"
        />
      )}
      {different.length === 0 ? null : (
        <Switch
          label={texts.replaceInstead}
          hint={texts.replaceInsteadHint}
          isOn={isReplacing}
          onChange={setReplacing}
          testID="replace-cards"
        />
      )}
      {same.length > 0 ? <Txt>{texts.cardsAreAlreadyHere(same.length)}</Txt> : null}
      <Problems problems={preview.problems} />
      {hasNews ? null : <Txt font="sansBold">{texts.thereIsNothingNew}</Txt>}
      <View className="flex-row items-center gap-4">
        {hasNews ? (
          <NextAct
            label={cards.length === 0 ? texts.nothingSelected : texts.importCards(cards.length)}
            isDisabled={cards.length === 0}
            onPress={() => onImport(cards, { isReplacing, choose: chooseFor })}
            testID="do-import"
          />
        ) : null}
        <Act label={hasNews ? texts.cancel : texts.chooseAnotherFile} tone="faded" onPress={onDrop} />
      </View>
    </View>
  );
}

interface GroupProps {
  readonly title: string;
  readonly hint: string;
  readonly cards: readonly Card[];
  readonly left: ReadonlySet<string>;
  readonly onChoose: (cards: readonly Card[], isOn: boolean) => void;
  /** What the book's card would be; only for cards that are in the book. */
  readonly becomes?: (card: Card) => Card;
  /** The values of a card that is chosen. */
  readonly values?: ((now: Card, merged: Card) => ReactNode) | undefined;
  readonly testID: string;
}

/** Cards that are alike in what would happen to them; chosen all at once or one by one. */
function Group({ title, hint, cards, left, onChoose, becomes, values, testID }: GroupProps) {
  const [isAll, setAll] = useState(false);
  const getCard = useCardGetter();
  if (cards.length === 0) return null;
  const shown = cards.slice(0, isAll ? SHOWN_AT_MOST : SHOWN_AT_FIRST);
  const rest = cards.length - shown.length;
  const chosen = cards.filter(({ uid }) => !left.has(uid)).length;
  const lineOf = (card: Card) => {
    const known = becomes && getCard(card.uid);
    return known ? texts.differsIn(changedValues(known, becomes(card)).join(', ')) : secondLine(card);
  };
  const valuesOf = (card: Card) => {
    const known = becomes && getCard(card.uid);
    return known && values ? values(known, becomes(card)) : null;
  };
  return (
    <View>
      <Tick
        name={`${title}: ${hint}`}
        isOn={chosen > 0}
        onChange={() => onChoose(cards, chosen < cards.length)}
        testID={testID}
      >
        <Txt font="sansBold">{title}</Txt>
        <Txt size="small" tone="faded">
          {chosen === 0 || chosen === cards.length ? hint : texts.ofThemSelected(hint, chosen)}
        </Txt>
      </Tick>
      <View className="pl-8">
        {shown.map((card) => (
          <View key={card.uid}>
            <Tick
              name={shownAs(card) || texts.noName}
              isOn={!left.has(card.uid)}
              onChange={(isOn) => onChoose([card], isOn)}
            >
              <Txt font="serif" size="strong">
                {shownAs(card) || shared.noName}
              </Txt>
              <Txt size="small" tone="faded">
                {lineOf(card)}
              </Txt>
            </Tick>
            {left.has(card.uid) ? null : valuesOf(card)}
          </View>
        ))}
        {rest > 0 && !isAll ? (
          <View className="flex-row">
            <Act label={texts.showMoreNumbered(rest)} onPress={() => setAll(true)} />
          </View>
        ) : null}
        {rest > 0 && isAll ? (
          <Txt size="small" tone="faded">
            {texts.andMore(rest)}
          </Txt>
        ) : null}
      </View>
    </View>
  );
}
