import { strToU8, zipSync } from 'fflate';
import { useState } from 'react';
import { View } from 'react-native';

import { exportCards } from '@/book/formats';
import { noticeShown, selectSettings, useAppDispatch, useAppSelector, useCardGetter } from '@/book/state';
import { emptyDraft, type MailDraftNow, noteSent, rememberUsed, type SentMail } from '@/book/write';
import { shownAs } from '@/core/card';
import {
  type Attachment,
  formatMailbox,
  mailDate,
  MAX_MAILTO,
  type Recipient,
  writeMailto,
  writeMessage,
} from '@/core/write';
import { copyText, fileName, nowMs, openOutside, saveFile } from '@/platform';
import { texts as wording } from '@/texts/write/write';
import { Act, Copy, Download, Mail, Txt } from '@/ui';

import { ByMailClient } from './ByMailClient';
import { BySms } from './BySms';
import type { Out, WriteWork } from './useOut';

interface OutPartProps {
  readonly now: MailDraftNow;
  /** undefined until it has been loaded. */
  readonly work: WriteWork | undefined;
  readonly out: Out;
}

/** The ways out of a message: into the mail program, as a file, as a list of addresses; and that it was sent. */
export function OutPart({ now, work, out }: OutPartProps) {
  const dispatch = useAppDispatch();
  const getCard = useCardGetter();
  const [own] = useAppSelector(selectSettings).ownAddresses;
  const [isSent, setSent] = useState(false);
  const { draft, set } = now;
  const { people, count, messageAt, hasOpenFields, isFilledIn } = out;
  if (!draft) return null;
  const { subject, body, isEach, attached } = draft;
  const first = isEach ? undefined : messageAt(0);
  const mailto = first ? writeMailto(first) : '';
  const isTooLong = mailto.length > MAX_MAILTO;
  const allMessages = () =>
    Array.from({ length: count }, (_, at) => messageAt(at)).filter((one) => one !== undefined);
  const attachments = async (): Promise<Attachment[]> => {
    const cards = attached.flatMap((uid) => getCard(uid) ?? []);
    if (!work || cards.length === 0) return [];
    return Promise.all(
      cards.map(async (card) => {
        const options = { onProgress: () => undefined, extensions: false };
        const { result } = dispatch(exportCards([work.cardToSend(card)], 'vcard3', options));
        return {
          name: fileName(shownAs(card), 'vcf'),
          type: 'text/vcard',
          text: await (await result).text(),
        };
      }),
    );
  };
  const textsFrom = async (address: string | undefined) => {
    const from = address === undefined ? {} : { from: { name: '', address } };
    const files = await attachments();
    return allMessages().map((message, i) => {
      const stamp = {
        ...from,
        date: mailDate(nowMs()),
        messageId: `${nowMs()}-${i}@cordialis.example`,
      };
      return writeMessage(message, stamp, files);
    });
  };
  const wentOut = () => {
    dispatch(rememberUsed(people));
    setSent(true);
  };
  const save = async () => {
    const texts = await textsFrom(own);
    if (texts.length === 1)
      saveFile(fileName(subject || wording.message, 'eml'), texts[0] ?? '', 'message/rfc822');
    else {
      const named = texts.map(
        (text, i) =>
          [
            `${String(i + 1).padStart(3, '0')} ${fileName(people[i]?.name || 'message', 'eml')}`,
            strToU8(text),
          ] as const,
      );
      saveFile(
        fileName(subject || wording.messages, 'zip'),
        zipSync(Object.fromEntries(named)),
        'application/zip',
      );
    }
    wentOut();
  };
  const copy = async () => {
    if (await copyText(people.map(formatMailbox).join(', ')))
      dispatch(noticeShown({ text: wording.copiedAddresses(people.length), tone: 'plain' }));
  };
  const note = async () => {
    const uidOf = ({ uid }: Recipient) => uid ?? [];
    const sent: SentMail[] = isEach
      ? people.map((one, i) => ({
          uids: [uidOf(one)].flat(),
          subject: messageAt(i)?.subject ?? '',
          body: messageAt(i)?.body ?? '',
        }))
      : [{ uids: people.flatMap(uidOf), subject, body }];
    await dispatch(noteSent(sent));
    setSent(false);
  };
  return (
    <View className="gap-1" testID="out">
      {hasOpenFields ? <Txt tone="ochre">{wording.textInBracesIsFilled}</Txt> : null}
      <View className="flex-row flex-wrap gap-x-6">
        {isEach ? null : (
          <Act
            label={wording.openInMailProgram}
            icon={Mail}
            isDisabled={people.length === 0 || isTooLong || attached.length > 0}
            onPress={() => {
              openOutside(mailto);
              wentOut();
            }}
            testID="mail-open"
          />
        )}
        <Act
          label={count > 1 ? wording.saveMessageFiles(count) : wording.saveAsMessageFile}
          icon={Download}
          isDisabled={people.length === 0 || !work}
          onPress={() => void save()}
          testID="mail-save"
        />
        <Act
          label={wording.copyAddresses}
          icon={Copy}
          isDisabled={people.length === 0}
          onPress={() => void copy()}
          testID="mail-copy"
        />
      </View>
      <ByMailClient
        own={own}
        isDisabled={people.length === 0 || !work || hasOpenFields}
        messages={count}
        textsFrom={textsFrom}
        onSent={() => {
          dispatch(rememberUsed(people));
          set(emptyDraft);
        }}
      />
      {/* A text message is one to all: nothing in it is filled in. */}
      {isFilledIn ? null : <BySms people={people} text={body} />}
      {attached.length > 0 && !isEach ? (
        <Txt size="small" tone="faded">
          {wording.attachedCardsGoWithMessage}
        </Txt>
      ) : null}
      {isTooLong && !isEach ? (
        <Txt size="small" tone="faded">
          {wording.itIsTooLong}
        </Txt>
      ) : null}
      {isSent ? (
        <View className="flex-row flex-wrap items-center gap-x-4" role="status">
          <Txt>{wording.sentItAddItToTalks}</Txt>
          <Act
            label={wording.noteItWithPeople(people.filter(({ uid }) => uid !== undefined).length)}
            onPress={() => void note()}
            testID="mail-note"
          />
        </View>
      ) : null}
    </View>
  );
}
