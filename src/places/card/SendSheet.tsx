import { useState } from 'react';
import { View } from 'react-native';

import { selectSettings, useAppDispatch, useAppSelector, usePhoto } from '@/book/state';
import { sendCards } from '@/book/write';
import { type Card, portraitOf, shownAs } from '@/core/card';
import { cardAsText, cardForCode, cardsAsPage, cardToSend, hasPrivate } from '@/core/write';
import { localDay, LOCALE, printPage } from '@/platform';
import { Act, Code, Copy, Printer, Send, Sheet, Switch, Txt } from '@/ui';

import { useCopy } from './parts/useCopy';

/** Points of the code's side; large enough for a phone at arm's length. */
const CODE_SIZE = 300;

/** Our words for what may have to stay out of a code. */
const WORDS: Readonly<Record<string, string>> = {
  media: 'photo',
  phones: 'numbers',
  emails: 'mail addresses',
  onlineServices: 'accounts',
  anniversaries: 'days',
  personalInfo: 'interests',
  keywords: 'tags',
  preferredLanguages: 'languages',
  speakToAs: 'pronouns',
  cryptoKeys: 'keys',
  vCardProps: 'properties of other programs',
};

/** The ways to hand a card to somebody else, and what of it goes along. */
export function SendSheet({ card, onClose }: { readonly card: Card; readonly onClose: () => void }) {
  const dispatch = useAppDispatch();
  const copy = useCopy();
  const { country } = useAppSelector(selectSettings);
  const [withPrivate, setPrivate] = useState(false);
  const [withNotes, setNotes] = useState(false);
  const portrait = portraitOf(card)?.[1];
  const photo = usePhoto(portrait?.blobId) ?? portrait?.uri;
  const sent = cardToSend(card, { withPrivate, withNotes });
  const show = { country, locale: LOCALE, today: localDay() };
  return (
    <Sheet title={`Send ${shownAs(card)}`} isOpen onClose={onClose}>
      <View className="gap-3" testID="send-sheet">
        <View className="flex-row flex-wrap gap-x-5">
          <Act
            label="As a card file"
            icon={Send}
            onPress={() => void dispatch(sendCards([sent], shownAs(card)))}
            testID="send-file"
          />
          <Act
            label="Copy as text"
            icon={Copy}
            onPress={() => void copy(cardAsText(sent, show))}
            testID="send-text"
          />
          <Act
            label="Print"
            icon={Printer}
            onPress={() => printPage(cardsAsPage([sent], { ...show, photoOf: () => photo }))}
            testID="send-print"
          />
        </View>
        <CodePart card={sent} />
        {card.notes || card.keywords ? (
          <Switch label="Include notes and tags" isOn={withNotes} onChange={setNotes} testID="send-notes" />
        ) : null}
        {hasPrivate(card) ? (
          <Switch
            label="Include private values"
            isOn={withPrivate}
            onChange={setPrivate}
            testID="send-private"
          />
        ) : null}
      </View>
    </Sheet>
  );
}

/** The card as a code that another phone scans. */
function CodePart({ card }: { readonly card: Card }) {
  const { text, left } = cardForCode(card);
  return (
    <View className="gap-2">
      <View className="items-center">
        <Code text={text} name={`Code with the card of ${shownAs(card)}`} size={CODE_SIZE} />
      </View>
      <Txt size="small" tone="faded">
        {left.length === 0
          ? 'Another phone can scan the card with its camera.'
          : `Another phone can scan the card with its camera, without: ${left.map((key) => WORDS[key] ?? key).join(', ')}.`}
      </Txt>
    </View>
  );
}
