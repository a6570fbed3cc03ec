import { useState } from 'react';

import { useCard } from '@/book/state';
import { type Card, shownAs } from '@/core/card';
import type { TalkKind } from '@/core/talks';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/card/talk';
import { Act, type Icon, LinkAct, Mail, MessageSquare, NotebookPen, Phone } from '@/ui';

import { TalkSheet } from '../talk/TalkSheet';
import type { PersonOfDay } from './personOfDay';
import { useReach } from './useReach';

const WAYS = [
  ['call', texts.callNamed, Phone, 'call'],
  ['message', texts.messageNamed, MessageSquare, 'message'],
  ['write', texts.writeNamed, Mail, 'mail'],
] as const satisfies readonly (readonly [string, (name: string) => string, Icon, TalkKind])[];

/** The one thing that is likeliest to be done for a person of the day: to reach them, or to note what was said. */
export function LikelyAct({ uid, ...props }: PersonOfDay) {
  const card = useCard(uid);
  return card ? <Likely card={card} {...props} /> : null;
}

function Likely({ card, occasion }: Omit<PersonOfDay, 'uid'> & { readonly card: Card }) {
  const reach = useReach(card, occasion);
  const [begun, setBegun] = useState<TalkKind>();
  const name = shownAs(card);
  const [way] = WAYS.flatMap(([one, says, icon, kind]) => {
    const uri = reach[one];
    return uri === undefined ? [] : [{ says, icon, kind, uri }];
  });
  return (
    <>
      {way ? (
        <LinkAct
          label={way.says(name)}
          icon={way.icon}
          uri={way.uri}
          iconOnly
          onPress={() => setBegun(way.kind)}
        />
      ) : (
        <Act label={shared.noteTalkWith(name)} icon={NotebookPen} iconOnly onPress={() => setBegun('call')} />
      )}
      {begun === undefined ? null : (
        <TalkSheet uid={card.uid} kind={begun} onClose={() => setBegun(undefined)} />
      )}
    </>
  );
}
