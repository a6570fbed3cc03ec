import { useState } from 'react';
import { View } from 'react-native';

import { useAppDispatch } from '@/book/state';
import { unpairFromHub, useHubAct } from '@/book/sync';
import type { DevicesStatus } from '@/core/sync';
import { texts } from '@/texts/sync/sync';
import { Act, Txt } from '@/ui';

import { formatMoment } from './words';

interface BrowsersPartProps {
  readonly browsers: DevicesStatus['browsers'];
  /** Milliseconds since 1970. */
  readonly now: number;
}

/** The browsers that share this book; another one is paired by a code. */
export function BrowsersPart({ browsers, now }: BrowsersPartProps) {
  const act = useHubAct();
  const dispatch = useAppDispatch();
  const [code, setCode] = useState('');
  return (
    <View className="pt-5">
      <Txt size="small" font="sansBold" tone="faded" heading={2}>
        {texts.browsersThatShareThisBook}
      </Txt>
      {browsers.map(({ name, seen, isThis }) => (
        <View
          key={name}
          className="min-h-[44px] flex-row items-center justify-between gap-3 border-b border-rule"
        >
          <View className="min-w-0 flex-1">
            <Txt lines={1}>{isThis ? texts.thisOne(name) : name}</Txt>
          </View>
          {seen === null || isThis ? null : (
            <Txt size="small" tone="faded" isFigures>
              {formatMoment(seen, now)}
            </Txt>
          )}
          <Act
            label={isThis ? texts.stop : texts.remove}
            name={isThis ? texts.stopSharingInThisBrowser : texts.removeNamed(name)}
            tone="faded"
            onPress={() =>
              void (isThis ? dispatch(unpairFromHub()) : act((hub, token) => hub.unpair(token, name)))
            }
          />
        </View>
      ))}
      <View className="flex-row">
        <Act
          label={texts.pairAnotherBrowser}
          onPress={() => void act((hub, token) => hub.newCode(token)).then((made) => setCode(made ?? ''))}
          testID="new-code"
        />
      </View>
      {code === '' ? null : (
        <View role="status">
          <Txt>
            {texts.typeThisCodeThereUnder}{' '}
            <Txt font="sansBold" size="strong" isFigures testID="code">
              {code}
            </Txt>
          </Txt>
        </View>
      )}
    </View>
  );
}
