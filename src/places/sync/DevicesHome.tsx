import { View } from 'react-native';

import { useHub, useHubAnswer } from '@/book/sync';
import { texts } from '@/texts/sync/sync';
import { Txt, usePageTitle } from '@/ui';

import { LogPart } from './LogPart';

/** Beside the devices on a wide page: recent changes. */
export function DevicesHome() {
  usePageTitle(texts.devices);
  const { pairing } = useHub();
  const { value } = useHubAnswer('log', (hub, token) => hub.log(token, {}));
  return (
    <View className="max-w-[720px] gap-3 px-6 pt-4">
      <Txt font="serif" size="title" heading={2}>
        {texts.recentChanges}
      </Txt>
      {pairing ? (
        <LogPart lines={value} isOfCard={false} />
      ) : (
        <Txt font="serifItalic" size="strong" tone="faded">
          {texts.onceThisBrowserExchanges}
        </Txt>
      )}
    </View>
  );
}
