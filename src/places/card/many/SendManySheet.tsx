import { useState } from 'react';
import { View } from 'react-native';

import { noticeShown, selectSettings, useAppDispatch, useAppSelector, useServices } from '@/book/state';
import { cardsTo, sendCards, writeTo } from '@/book/write';
import { portraitOf } from '@/core/card';
import { cardAsText, cardsAsPage, cardToSend, hasPrivate } from '@/core/write';
import { copyText, localDay, LOCALE, printPage } from '@/platform';
import { go } from '@/platform/navigation';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/card/many';
import { Act, Copy, Mail, Printer, Send, Sheet, Switch } from '@/ui';

import type { ManySheetProps } from '../parts/manySheet';
import { nameCards } from '../parts/nameCards';

/** Hands several cards to somebody else, in one file, as text or printed. */
export function SendManySheet({ cards, onSheet }: ManySheetProps) {
  const dispatch = useAppDispatch();
  const { photos } = useServices();
  const { country } = useAppSelector(selectSettings);
  const [withPrivate, setPrivate] = useState(false);
  const [withNotes, setNotes] = useState(false);
  const count = nameCards(cards);
  // A private card goes along only when asked for, like a private value.
  const sent = cards
    .filter((card) => withPrivate || card['cordialis.example:private'] !== true)
    .map((card) => cardToSend(card, { withPrivate, withNotes }));
  const show = { country, locale: LOCALE, today: localDay() };
  const copy = async () => {
    const isCopied = await copyText(sent.map((card) => cardAsText(card, show)).join('\n\n'));
    const text = isCopied ? texts.copiedCardsAsText(sent.length) : shared.nothingCouldBeCopied;
    dispatch(noticeShown({ text, tone: isCopied ? 'plain' : 'error' }));
  };
  const print = async () => {
    const portraits = await Promise.all(
      sent.map(async (card) => {
        const media = portraitOf(card)?.[1];
        return [
          card.uid,
          media?.uri ?? (media?.blobId === undefined ? null : await photos.get(media.blobId)),
        ] as const;
      }),
    );
    const byUid = new Map(portraits);
    printPage(cardsAsPage(sent, { ...show, photoOf: ({ uid }) => byUid.get(uid) ?? undefined }));
  };
  return (
    <Sheet title={texts.sendNamed(count)} isOpen onClose={() => onSheet(undefined)}>
      <View testID="send-many">
        <Act
          label={texts.writeToThem}
          icon={Mail}
          onPress={() =>
            void dispatch(writeTo(cardsTo(cards.map(({ uid }) => uid)))).then(() => {
              onSheet(undefined);
              go('/write');
            })
          }
          testID="send-many-mail"
        />
        <Act
          label={texts.asOneCardFile}
          icon={Send}
          onPress={() => void dispatch(sendCards(sent, shared.cardCount(sent.length)))}
          testID="send-many-file"
        />
        <Act label={shared.copyAsText} icon={Copy} onPress={() => void copy()} testID="send-many-text" />
        <Act label={texts.print} icon={Printer} onPress={() => void print()} testID="send-many-print" />
        {cards.some(({ notes, keywords }) => notes ?? keywords) ? (
          <Switch
            label={shared.includeNotesAndTags}
            isOn={withNotes}
            onChange={setNotes}
            testID="send-many-notes"
          />
        ) : null}
        {cards.some(hasPrivate) ? (
          <Switch
            label={texts.includePrivateCardsAndValues}
            isOn={withPrivate}
            onChange={setPrivate}
            testID="send-many-private"
          />
        ) : null}
      </View>
    </Sheet>
  );
}
