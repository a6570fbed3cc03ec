import { View } from 'react-native';

import { useAppDispatch, useCardGetter } from '@/book/state';
import { dropRefused, useHub } from '@/book/sync';
import { shownAs } from '@/core/card';
import { cardPath } from '@/platform';
import { go } from '@/platform/navigation';
import { texts } from '@/texts/sync/sync';
import { Act, NameLink, Txt } from '@/ui';

/** Cards that the hub doesn't take, with its reasons: to be changed, or left here. */
export function RefusedPart() {
  const dispatch = useAppDispatch();
  const getCard = useCardGetter();
  const { refused } = useHub();
  const cards = Object.entries(refused);
  if (cards.length === 0) return null;
  return (
    <View testID="refused">
      <Txt size="small" font="sansBold" tone="brick">
        {texts.notTakenByHub(cards.length)}
      </Txt>
      {cards.map(([uid, reason]) => {
        const card = getCard(uid);
        const name = card ? shownAs(card) : texts.cardThatHasGone;
        return (
          <View key={uid} className="border-b border-rule py-1">
            {card ? (
              <NameLink label={name} href={cardPath(uid)} onPress={() => go(cardPath(uid))} font="serif" />
            ) : (
              <Txt>{name}</Txt>
            )}
            <Txt size="small">{reason}</Txt>
            <View className="flex-row">
              <Act
                label={texts.leaveItHere}
                name={texts.leaveItHereNamed(name)}
                tone="faded"
                onPress={() => void dispatch(dropRefused(uid))}
              />
            </View>
          </View>
        );
      })}
    </View>
  );
}
