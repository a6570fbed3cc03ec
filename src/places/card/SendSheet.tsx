import { useState } from 'react';
import { View } from 'react-native';

import { selectSettings, useAppDispatch, useAppSelector, usePhoto } from '@/book/state';
import { sendCards } from '@/book/write';
import { type Card, portraitOf, shownAs } from '@/core/card';
import { cardAsText, cardForCode, cardsAsPage, cardToSend, hasPrivate } from '@/core/write';
import { localDay, LOCALE, printPage } from '@/platform';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/card/card';
import { Act, Code, Copy, Printer, Send, Sheet, Switch, Txt } from '@/ui';

import { useCopy } from './parts/useCopy';

/** Side of the code in points; large enough for a phone at arm's length. */
const CODE_SIZE = 300;

/** Names of what may have to be left out of a code. */
const WORDS: Readonly<Record<string, string>> = {
  media: texts.photo,
  phones: texts.numbers,
  emails: texts.mailAddresses,
  onlineServices: texts.accounts,
  anniversaries: texts.days,
  personalInfo: texts.interests,
  keywords: texts.tagsWord,
  preferredLanguages: texts.languages,
  speakToAs: texts.pronouns,
  cryptoKeys: texts.keys,
  vCardProps: shared.propertiesOfOtherPrograms,
};

/** The ways to send a card to somebody, and what is included. */
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
    <Sheet title={texts.sendNamed(shownAs(card))} isOpen onClose={onClose}>
      <View className="gap-3" testID="send-sheet">
        <View className="flex-row flex-wrap gap-x-5">
          <Act
            label={texts.asCardFile}
            icon={Send}
            onPress={() => void dispatch(sendCards([sent], shownAs(card)))}
            testID="send-file"
          />
          <Act
            label={shared.copyAsText}
            icon={Copy}
            onPress={() => void copy(cardAsText(sent, show))}
            testID="send-text"
          />
          <Act
            label={texts.print}
            icon={Printer}
            onPress={() => printPage(cardsAsPage([sent], { ...show, photoOf: () => photo }))}
            testID="send-print"
          />
        </View>
        <CodePart card={sent} />
        {card.notes || card.keywords ? (
          <Switch
            label={shared.includeNotesAndTags}
            isOn={withNotes}
            onChange={setNotes}
            testID="send-notes"
          />
        ) : null}
        {hasPrivate(card) ? (
          <Switch
            label={texts.includePrivateValues}
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
          ? texts.anotherPhoneCanScan
          : texts.anotherPhoneCanScanCard(left.map((key) => WORDS[key] ?? key).join(', '))}
      </Txt>
    </View>
  );
}
