import { ScrollView, View } from 'react-native';

import { type Card, shownAs, type ValueGroup } from '@/core/card';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/tidy/tidy';
import { Txt, useWide } from '@/ui';

/** Width of a card's column in pixels: two fit side by side on a phone, more are reached by scrolling. */
const COLUMN = 168;
/** The same where there is room. */
const WIDE_COLUMN = 280;

/** The values of a card by their words; none until what says them has been loaded. */
export type GroupsOf = (card: Card) => readonly ValueGroup[];

/** Each field across the cards: what all have is faded, what only some have stands out. */
export function CompareColumns({
  cards,
  groupsOf,
}: {
  readonly cards: readonly Card[];
  readonly groupsOf: GroupsOf;
}) {
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
