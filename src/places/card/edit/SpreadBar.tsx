import { View } from 'react-native';

import { texts } from '@/texts/card/edit';
import { Act, Txt, X } from '@/ui';

import type { SpreadOffer } from './useSpread';

/** Above the acts of the form: what was pasted is more than one value, and can go to the fields of each. */
export function SpreadBar({ offer }: { readonly offer: SpreadOffer | undefined }) {
  return (
    <View role="status" aria-live="polite">
      {offer ? (
        <View className="flex-row items-center gap-2 border-t border-rule bg-leaf pl-5 pr-1" testID="spread">
          <View className="min-w-0 flex-1 py-2">
            <Txt>{offer.isSpread ? texts.spreadOver(offer.counts) : texts.pastedHas(offer.counts)}</Txt>
          </View>
          {offer.isSpread ? (
            <Act label={texts.takeItBack} onPress={offer.takeBack} testID="spread-back" />
          ) : (
            <Act label={texts.spreadIt} onPress={offer.spread} testID="spread-it" />
          )}
          <Act label={texts.leaveIt} icon={X} iconOnly tone="faded" onPress={offer.leave} />
        </View>
      ) : null}
    </View>
  );
}
