import { useState } from 'react';
import { View } from 'react-native';

import { useHubAnswer } from '@/book/sync';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/sync/try';
import { Act, Paperclip, Send, Txt } from '@/ui';

import { useNow } from '../useDevices';
import { formatMoment } from '../words';
import { SenderSheet } from './SenderSheet';
import type { ReplyTo } from './WritePart';

interface MailPartProps {
  readonly id: number;
  readonly onBack: () => void;
  readonly onReply: (to: ReplyTo) => void;
}

/** One message; whoever it is from, or goes to, leads to their card, or to one that is read out of the message. */
export function MailPart({ id, onBack, onReply }: MailPartProps) {
  const now = useNow();
  const { value: mail, fault } = useHubAnswer(`mail ${id}`, (hub, token) => hub.mail(token, id));
  const [asked, setAsked] = useState<{ name: string; address: string }>();
  if (!mail)
    return <Txt tone={fault === '' ? 'faded' : 'ochre'}>{fault === '' ? shared.contactingHub : fault}</Txt>;
  const { from, to, subject, text, files, at, box } = mail;
  const people = box === 'inbox' ? [from] : to;
  return (
    <View className="gap-2" testID="mail">
      <View className="flex-row">
        <Act label={texts.backToMessages} tone="faded" onPress={onBack} testID="mail-back" />
      </View>
      <Txt font="serif" size="title" heading={2}>
        {subject === '' ? texts.noSubject : subject}
      </Txt>
      <View className="flex-row flex-wrap items-center gap-x-4">
        <Txt size="small" tone="faded">
          {box === 'inbox' ? texts.from : texts.to}
        </Txt>
        {people.map((one) => (
          <Act
            key={one.address}
            label={one.name === '' ? one.address : one.name}
            name={texts.whoIs(one.name === '' ? one.address : one.name)}
            onPress={() => setAsked(one)}
            testID="sender"
          />
        ))}
        <Txt size="small" tone="faded" isFigures>
          {formatMoment(at, now)}
        </Txt>
      </View>
      <Txt>{text}</Txt>
      {files.map((file) => (
        <View key={file} className="flex-row items-center gap-2">
          <Paperclip size={16} />
          <Txt size="small">{file}</Txt>
        </View>
      ))}
      {box === 'inbox' ? (
        <View className="flex-row">
          <Act
            label={texts.answer}
            icon={Send}
            onPress={() =>
              onReply({ ...from, subject: /^Re: /i.test(subject) ? subject : texts.re(subject) })
            }
            testID="mail-reply"
          />
        </View>
      ) : null}
      {asked ? (
        <SenderSheet person={asked} text={box === 'inbox' ? text : ''} onClose={() => setAsked(undefined)} />
      ) : null}
    </View>
  );
}
