/**
 * Writing to people: who gets a message, at which address, and the message as a file or an address to open.
 * Standards: RFC 5322 (messages), RFC 2047 (encoded words), RFC 2045 §6.7 (quoted-printable), RFC 6068 (mailto),
 * RFC 5724 (sms).
 * Left out: sending, which a mail program does.
 */
export { formatMailbox, type Mailbox } from './formatMailbox';
export { findRecipients, type Recipient, type Recipients, type WriteTo } from './findRecipients';
export { type Attachment, mailDate, type OutMessage, writeMessage } from './writeMessage';
export { smsNumber, writeSms } from './writeSms';
export { MAX_MAILTO, writeMailto } from './writeMailto';
