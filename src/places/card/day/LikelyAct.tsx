import { useState } from 'react';

import { useCard } from '@/book/state';
import { type Card, shownAs } from '@/core/card';
import type { TalkKind } from '@/core/talks';
import { texts as shared } from '@/texts/base/shared';
import { Act, LinkAct, NotebookPen } from '@/ui';

import { WAYS_TO_TALK } from '../parts/waysToTalk';
import { TalkSheet } from '../talk/TalkSheet';
import type { PersonOfDay } from './personOfDay';
import { useReach } from './useReach';

/** The one thing that is likeliest to be done for a person of the day: to reach them, or to note what was said. */
export function LikelyAct({ uid, ...props }: PersonOfDay) {
  const card = useCard(uid);
  return card ? <Likely card={card} {...props} /> : null;
}

function Likely({ card, occasion }: Omit<PersonOfDay, 'uid'> & { readonly card: Card }) {
  const reach = useReach(card, occasion);
  const [begun, setBegun] = useState<TalkKind>();
  const name = shownAs(card);
  const likeliest = WAYS_TO_TALK.find(({ way }) => reach[way] !== undefined);
  const uri = likeliest && reach[likeliest.way];
  return (
    <>
      {likeliest && uri !== undefined ? (
        <LinkAct
          label={likeliest.nameOf(name)}
          icon={likeliest.icon}
          uri={uri}
          iconOnly
          onPress={() => setBegun(likeliest.kind)}
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
