import { useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';

import { type Card, type Reach, reachOf } from '@/core/card';
import type { TalkKind } from '@/core/talks';
import { cardPath } from '@/platform';
import { go } from '@/platform/navigation';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/card/card';
import { Globe, type Icon, LinkAct, MapPin, NextAct, NotebookPen, useWide } from '@/ui';

import { WAYS_TO_TALK } from './parts/waysToTalk';
import { PlanActs } from './talk/PlannedPart';
import { TalkSheet } from './talk/TalkSheet';

const WAYS: readonly {
  readonly way: keyof Reach;
  readonly label: string;
  readonly icon: Icon;
  readonly kind?: TalkKind;
}[] = [
  ...WAYS_TO_TALK,
  { way: 'way', label: texts.directions, icon: MapPin },
  { way: 'web', label: texts.web, icon: Globe },
];

interface ReachRowProps {
  /** With what the cards say that it stands for. */
  readonly card: Card;
  /** What talks and plans are noted on; undefined for a list, which talks to nobody. */
  readonly own: Card | undefined;
  readonly country: string;
  /** Whether being reminded and meeting are offered here. */
  readonly hasPlans?: boolean;
}

/** Noting a talk, and the ways to reach somebody; a way the card has nothing for is not offered. */
export function ReachRow({ card, own, country, hasPlans = false }: ReachRowProps) {
  const { isWide } = useWide();
  const reach = reachOf(card, country);
  const ways = WAYS.flatMap((one) => {
    const uri = reach[one.way];
    return uri === undefined ? [] : [{ ...one, uri }];
  });
  const [begun, setBegun] = useState<TalkKind>();
  const { talk: asked } = useLocalSearchParams<{ talk?: string }>();
  const open = begun ?? (asked === 'new' ? 'call' : undefined);
  const close = () => {
    setBegun(undefined);
    // Coming back to this address later doesn't open the sheet again.
    if (asked !== undefined) go(cardPath(card.uid), 'replace');
  };
  if (!own && ways.length === 0) return null;
  return (
    <View className="max-w-full shrink flex-row flex-wrap items-center wide:gap-x-1" testID="reach-row">
      {own ? (
        <View className="mr-1">
          <NextAct
            label={shared.noteTalk}
            // Five ways fit beside it on a phone's line without.
            {...(isWide && { icon: NotebookPen })}
            onPress={() => setBegun('call')}
            testID="note-talk"
          />
        </View>
      ) : null}
      {ways.map(({ way, label, icon, kind, uri }) => (
        <LinkAct
          key={way}
          label={label}
          icon={icon}
          uri={uri}
          iconOnly
          onPress={() => {
            if (kind) setBegun(kind);
          }}
        />
      ))}
      {own && hasPlans ? <PlanActs card={own} /> : null}
      {open === undefined || !own ? null : <TalkSheet uid={own.uid} kind={open} onClose={close} />}
    </View>
  );
}
