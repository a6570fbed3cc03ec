import { z } from 'zod';

/** The boxes of the mailbox: outbox, sent, inbox. */
export const BOXES = ['inbox', 'outbox', 'sent'] as const;
const box = z.enum(BOXES);
/** A box of the mailbox. */
export type Box = z.infer<typeof box>;

const mailboxAddress = z.object({ name: z.string(), address: z.string() });

/** A message as a list shows it. */
export const mailHeadSchema = z.object({
  id: z.number(),
  box,
  /** UTCDateTime. */
  at: z.string(),
  from: mailboxAddress,
  to: z.array(mailboxAddress),
  subject: z.string(),
  isRead: z.boolean(),
});
/** A message as a list shows it. */
export type MailHeadView = z.infer<typeof mailHeadSchema>;

/** A message with its text and the names of its attachments. */
export const mailSchema = mailHeadSchema.extend({ text: z.string(), files: z.array(z.string()) });
/** A message with its text. */
export type MailView = z.infer<typeof mailSchema>;

/** Messages to be sent: files (RFC 5322), each with From, To and a Message-ID. */
export const mailsToSendSchema = z.object({ messages: z.array(z.string().max(20_000_000)).min(1).max(2000) });

/** Messages sent or received, as a mailbox file (RFC 4155). */
export const newMailSchema = z.object({
  mbox: z.string(),
  /** The last of them. */
  last: z.number(),
});
/** Messages that were sent or came in. */
export type NewMail = z.infer<typeof newMailSchema>;
