import { useState } from 'react';
import { View } from 'react-native';

import { useAppDispatch, useCard } from '@/book/state';
import { canKeepBoth, type Choice, settleValue, useHubAct } from '@/book/sync';
import type { ToSettle } from '@/core/sync';
import { cardPath } from '@/platform';
import { go } from '@/platform/navigation';
import { texts } from '@/texts/sync/sync';
import { Act, Field, NameLink, OverPage, Txt, usePageTitle } from '@/ui';

import { useNow, useToSettle } from './useDevices';
import { describeOwner, describePlace, describeValue, formatMoment } from './words';

/** Values that two sides changed differently, side by side, to choose between. */
export function SettlePage() {
  usePageTitle(texts.toSettleTitle);
  const { values } = useToSettle();
  return (
    <OverPage
      title={texts.toSettleTitle}
      backLabel={texts.devices}
      onBack={() => go('/devices')}
      className="max-w-[720px] gap-5"
      testID="settle-page"
    >
      <Txt tone="faded">{values.length === 0 ? texts.nothingWhereTwoSides : texts.twoSidesChangedSame}</Txt>
      {values.map((value) => (
        <Unsettled key={value.id} value={value} />
      ))}
    </OverPage>
  );
}

function Unsettled({ value }: { readonly value: ToSettle }) {
  const dispatch = useAppDispatch();
  const act = useHubAct();
  const card = useCard(value.uid) ?? undefined;
  const now = useNow();
  const [text, setText] = useState<string>();
  const whose = describeOwner(card);
  const place = describePlace(value);
  // Through the hub's act, so that what is to settle is asked for again afterwards.
  const settle = (choice: Choice) => void act(() => dispatch(settleValue(value, choice)));
  const isText = typeof value.mine === 'string' && typeof value.theirs === 'string';
  const sides = [
    ['mine', value.mine, value.mineBy, value.mineAt],
    ['theirs', value.theirs, value.theirsBy, value.theirsAt],
  ] as const;
  return (
    <View className="border-t border-rule pt-3" testID={`settle-${value.id}`}>
      {card ? (
        <NameLink
          label={whose}
          href={cardPath(value.uid)}
          onPress={() => go(cardPath(value.uid))}
          font="serif"
        />
      ) : (
        <Txt font="serif" size="strong">
          {whose}
        </Txt>
      )}
      <Txt size="small" tone="faded">
        {place}
      </Txt>
      <View className="flex-row flex-wrap gap-x-4">
        {sides.map(([side, said, by, at]) => (
          <View key={side} className="min-w-[240px] flex-1 border-b border-rule py-2">
            <Txt size="small" tone={side === 'mine' ? 'moss' : 'ochre'} font="sansBold">
              {side === 'mine' ? texts.inUse : texts.waiting}
            </Txt>
            <Txt size="strong">{describeValue(said)}</Txt>
            <Txt size="small" tone="faded">{`${by ?? texts.hub}, ${formatMoment(at, now)}`}</Txt>
            <View className="flex-row">
              <Act
                label={side === 'mine' ? texts.keepThis : texts.useThis}
                name={(side === 'mine' ? texts.keepFor : texts.useFor)(describeValue(said), whose)}
                onPress={() => settle({ kind: side })}
                testID={`settle-${side}`}
              />
            </View>
          </View>
        ))}
      </View>
      <View className="flex-row flex-wrap gap-x-6">
        {canKeepBoth(value) ? (
          <Act label={texts.keepBoth} onPress={() => settle({ kind: 'both' })} testID="settle-both" />
        ) : null}
        {isText && text === undefined ? (
          <Act
            label={texts.typeAnother}
            tone="faded"
            onPress={() => setText(describeValue(value.mine))}
            testID="settle-other"
          />
        ) : null}
      </View>
      {text === undefined ? null : (
        <View>
          <Field label={place} value={text} onChange={setText} isFirst />
          <View className="flex-row gap-6">
            <Act
              label={texts.save}
              isDisabled={text.trim() === ''}
              onPress={() => settle({ kind: 'other', text: text.trim() })}
            />
            <Act label={texts.cancel} tone="faded" onPress={() => setText(undefined)} />
          </View>
        </View>
      )}
    </View>
  );
}
