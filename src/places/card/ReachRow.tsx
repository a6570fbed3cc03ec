import { useState } from 'react';
import { View } from 'react-native';

import { type Card, type Reach, reachOf } from '@/core/card';
import type { TalkKind } from '@/core/talks';
import { texts } from '@/texts/card/card';
import { Globe, type Icon, LinkAct, Mail, MapPin, MessageSquare, Phone } from '@/ui';

import { TalkSheet } from './talk/TalkSheet';

const WAYS: readonly (readonly [keyof Reach, string, Icon])[] = [
  ['call', texts.call, Phone],
  ['message', texts.message, MessageSquare],
  ['write', texts.write, Mail],
  ['way', texts.directions, MapPin],
  ['web', texts.web, Globe],
];

/** Ways of reaching somebody that become a talk. */
const TALKS: Partial<Record<keyof Reach, TalkKind>> = { call: 'call', message: 'message', write: 'mail' };

/** The ways to reach somebody, as words with icons; a way the card has nothing for is not offered. */
export function ReachRow({ card, country }: { readonly card: Card; readonly country: string }) {
  const reach = reachOf(card, country);
  const open = WAYS.flatMap(([way, label, icon]) => {
    const uri = reach[way];
    return uri === undefined ? [] : [{ way, label, icon, uri }];
  });
  const [begun, setBegun] = useState<TalkKind>();
  if (open.length === 0) return null;
  return (
    <View className="flex-row flex-wrap gap-x-4 border-b border-rule py-2" testID="reach-row">
      {open.map(({ way, label, icon, uri }) => (
        <LinkAct
          key={way}
          label={label}
          icon={icon}
          uri={uri}
          onPress={() => {
            const kind = TALKS[way];
            if (kind) setBegun(kind);
          }}
        />
      ))}
      {begun === undefined ? null : (
        <TalkSheet uid={card.uid} kind={begun} onClose={() => setBegun(undefined)} />
      )}
    </View>
  );
}
