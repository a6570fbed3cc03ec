import { useLocalSearchParams } from 'expo-router';
import { useEffect, useState } from 'react';

import { useCard, useServices } from '@/book/state';
import { type Card, newCard, parseName, shownAs } from '@/core/card';
import { uidFromPath } from '@/platform';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/card/edit';

import { beginWithDetails } from '../parts/firstShown';
import { NoSuchCard } from '../parts/NoSuchCard';
import { CardEditor } from './CardEditor';

/** The page on which a card of the book is edited. */
export function EditPage() {
  const { card: part = '', at } = useLocalSearchParams<{ card: string; at?: string }>();
  const card = useCard(uidFromPath(part));
  // What editing began with: another page may change the card meanwhile.
  const [base, setBase] = useState(card ?? undefined);
  if (card && base?.uid !== card.uid) setBase(card);
  const uid = base?.uid;
  // What has been edited is what is looked at after it.
  useEffect(() => {
    if (uid !== undefined) beginWithDetails(uid);
  }, [uid]);
  if (card === null) return <NoSuchCard uid={uidFromPath(part)} />;
  if (!base || base.uid !== card?.uid) return null;
  return <CardEditor key={base.uid} base={base} isNew={false} title={texts.edit(shownAs(base))} at={at} />;
}

/** The page on which a card is written that is not in the book yet. @param name - in the address, to begin with */
export function NewCardPage() {
  const { newUid, utcNow } = useServices();
  const { name = '' } = useLocalSearchParams<{ name?: string }>();
  const begin = (line: string): Card => {
    const parsed = parseName(line);
    return { ...newCard(newUid(), utcNow()), kind: 'individual', ...(parsed ? { name: parsed } : {}) };
  };
  const [base, setBase] = useState(() => begin(name));
  return (
    <CardEditor
      key={base.uid}
      base={base}
      isNew
      title={shared.newCard}
      at={undefined}
      onNext={() => setBase(begin(''))}
    />
  );
}
