import { useState } from 'react';
import { Pressable, View } from 'react-native';

import { useHubAnswer } from '@/book/sync';
import { type Box, BOXES, type MailHeadView, type StandInStatus } from '@/core/sync';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/sync/try';
import { Act, Choice, Pencil, Txt } from '@/ui';

import { useNow } from '../useDevices';
import { formatMoment } from '../words';
import { MailPart } from './MailPart';
import { type ReplyTo, WritePart } from './WritePart';

const WORDS: Readonly<Record<Box, string>> = {
  inbox: texts.received,
  outbox: texts.outbox,
  sent: texts.sent,
};
/** Messages shown at first, and with each press more. */
const ROWS = 20;

/** The mailbox of the mail client: received, outbox and sent. */
export function MailboxPart({ now }: { readonly now: StandInStatus }) {
  const { value: mails } = useHubAnswer('mails', (hub, token) => hub.mails(token));
  const [box, setBox] = useState<Box>('inbox');
  const [open, setOpen] = useState<number>();
  const [writing, setWriting] = useState<ReplyTo | 'new'>();
  const [shown, setShown] = useState(ROWS);
  if (writing !== undefined)
    return (
      <WritePart
        now={now}
        to={writing === 'new' ? undefined : writing}
        onSent={() => {
          setWriting(undefined);
          setOpen(undefined);
        }}
      />
    );
  if (open !== undefined)
    return <MailPart id={open} onBack={() => setOpen(undefined)} onReply={setWriting} />;
  const here = (mails ?? []).filter((mail) => mail.box === box);
  return (
    <View testID="mailbox">
      <View className="flex-row">
        <Act label={shared.writeMessage} icon={Pencil} onPress={() => setWriting('new')} testID="write-new" />
      </View>
      <Choice
        name={texts.whichMessages}
        options={BOXES.map((one) => [one, labelOf(one, mails ?? [])] as const)}
        value={box}
        onChange={setBox}
      />
      {here.length === 0 ? (
        <Txt font="serifItalic" tone="faded">
          {mails === undefined ? shared.contactingHub : texts.nothingHere}
        </Txt>
      ) : null}
      {here.slice(0, shown).map((mail) => (
        <MailRow key={mail.id} mail={mail} onOpen={() => setOpen(mail.id)} />
      ))}
      {here.length > shown ? (
        <View className="flex-row">
          <Act
            label={texts.moreCount(here.length - shown)}
            tone="faded"
            onPress={() => setShown(shown + 100)}
          />
        </View>
      ) : null}
      <Txt size="small" tone="faded">
        {texts.nothingLeavesThisMachine}
      </Txt>
    </View>
  );
}

function labelOf(box: Box, mails: readonly MailHeadView[]): string {
  const here = mails.filter((mail) => mail.box === box);
  const unread = here.filter(({ isRead }) => !isRead).length;
  const rest = unread === 0 ? '' : texts.newOnes(unread);
  return `${WORDS[box]}: ${here.length}${rest}`;
}

function MailRow({ mail, onOpen }: { readonly mail: MailHeadView; readonly onOpen: () => void }) {
  const now = useNow();
  const { box, from, to, subject, at, isRead } = mail;
  const [first, ...others] = box === 'inbox' ? [from] : to;
  const who = first ? first.name || first.address : '';
  const whole = others.length === 0 ? who : texts.andMore(who, others.length);
  return (
    <Pressable
      role="button"
      aria-label={`${whole}: ${subject}${isRead ? '' : texts.new}`}
      onPress={onOpen}
      className="min-h-[52px] justify-center border-b border-rule py-1 hover:bg-leaf/60 active:bg-leaf"
    >
      <View className="flex-row justify-between gap-3">
        <View className="min-w-0 flex-1">
          <Txt lines={1} font={isRead ? 'sans' : 'sansBold'}>
            {whole}
          </Txt>
        </View>
        <Txt size="small" tone="faded" isFigures>
          {formatMoment(at, now)}
        </Txt>
      </View>
      <Txt size="small" tone="faded" lines={1}>
        {subject === '' ? texts.noSubject : subject}
      </Txt>
    </Pressable>
  );
}
