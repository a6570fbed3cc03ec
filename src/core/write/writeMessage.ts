import { encodeUtf8, toBase64 } from '@/core/base';

import { encodeWords, isPlainAscii } from './encodeWords';
import { formatMailbox, type Mailbox } from './formatMailbox';

/** A message that is to be sent. */
export interface OutMessage {
  readonly to: readonly Mailbox[];
  readonly cc: readonly Mailbox[];
  readonly bcc: readonly Mailbox[];
  readonly subject: string;
  readonly body: string;
}

/** What a message file says of itself. */
export interface MessageStamp {
  /** RFC 5322 §3.3, as in "Thu, 26 Nov 2026 10:00:00 +0000". */
  readonly date: string;
  /** Without the angle brackets. */
  readonly messageId: string;
  /** undefined where the mail program is to fill it in. */
  readonly from?: Mailbox;
}

/** A moment as a message says it (RFC 5322 §3.3), which the platform writes but for the name of the zone (ECMA-262, toUTCString). */
export function mailDate(ms: number): string {
  return new Date(ms).toUTCString().replace('GMT', '+0000');
}

/** RFC 5322 §2.1.1 and RFC 2045 §6.7: letters of a line, its end not counted. */
const MAX_LINE = 76;

/**
 * A message file (RFC 5322) in plain text, for a mail program to send. Recipients in Bcc stand in it, as the program needs
 * them; it takes them out when it sends.
 *
 * @returns lines ended by CRLF
 */
export function writeMessage(
  { to, cc, bcc, subject, body }: OutMessage,
  stamp: MessageStamp,
  attached: readonly Attachment[] = [],
): string {
  const { date, messageId, from } = stamp;
  const people = (name: string, all: readonly Mailbox[]) =>
    all.length === 0 ? [] : [foldList(name, all.map(formatMailbox))];
  const head = [
    `Date: ${date}`,
    ...(from ? people('From', [from]) : []),
    ...people('To', to),
    ...people('Cc', cc),
    ...people('Bcc', bcc),
    `Subject: ${subjectOf(subject)}`,
    `Message-ID: <${messageId}>`,
    // Asks programs to open it for sending rather than as one that has come (common practice).
    'X-Unsent: 1',
    'MIME-Version: 1.0',
  ];
  const text = [...TEXT_HEAD, '', quotedPrintable(body), ''];
  if (attached.length === 0) return [...head, ...text].join('\r\n');
  const boundary = boundaryFor(messageId);
  const parts = [text, ...attached.map(attachedPart)].flatMap((part) => [`--${boundary}`, ...part]);
  return [
    ...[...head, `Content-Type: multipart/mixed; boundary="${boundary}"`, ''],
    ...[...parts, `--${boundary}--`, ''],
  ].join('\r\n');
}

/** A file that goes along with a message. */
export interface Attachment {
  readonly name: string;
  /** Media type, such as text/vcard. */
  readonly type: string;
  readonly text: string;
}

const TEXT_HEAD = ['Content-Type: text/plain; charset=utf-8', 'Content-Transfer-Encoding: quoted-printable'];

/**
 * What stands between the parts (RFC 2046 §5.1.1). It holds "=_", which neither quoted-printable nor base64 can have, so
 * that no part can end another.
 */
function boundaryFor(messageId: string): string {
  return `=_${messageId.replace(/[^A-Za-z0-9]/g, '').slice(0, 60)}`;
}

/** A part in base64 with the name of its file (RFC 2183; a name beyond ASCII by RFC 2231). */
function attachedPart({ name, type, text }: Attachment): string[] {
  const plain = name.replace(/[^\x20-\x7e]|["\\]/g, '_');
  const other =
    plain === name ? '' : `; filename*=UTF-8''${encodeURIComponent(name).replace(/['()*]/g, percent)}`;
  return [
    `Content-Type: ${type}; charset=utf-8; name="${plain}"`,
    `Content-Disposition: attachment; filename="${plain}"${other}`,
    ...['Content-Transfer-Encoding: base64', ''],
    ...(toBase64(encodeUtf8(text)).match(/.{1,76}/g) ?? []),
    '',
  ];
}

function percent(char: string): string {
  return `%${char.charCodeAt(0).toString(16).toUpperCase()}`;
}

function subjectOf(subject: string): string {
  const plain = subject.replace(/[\r\n\t]+/g, ' ').trim();
  return isPlainAscii(plain) && plain.length < MAX_LINE - 'Subject: '.length ? plain : encodeWords(plain);
}

/** A header of several mailboxes, folded between them. */
function foldList(name: string, mailboxes: readonly string[]): string {
  let line = `${name}:`;
  const lines: string[] = [];
  mailboxes.forEach((mailbox, i) => {
    const part = ` ${mailbox}${i < mailboxes.length - 1 ? ',' : ''}`;
    if (line.length + part.length > MAX_LINE && line !== `${name}:`) {
      lines.push(line);
      line = '';
    }
    line += part;
  });
  return [...lines, line].join('\r\n');
}

/** RFC 2045 §6.7: every octet that isn't plain as =XX, lines of 76 letters at most. */
function quotedPrintable(text: string): string {
  return text
    .replace(/\r\n?/g, '\n')
    .split('\n')
    .map((line) => softLines(line))
    .join('\r\n');
}

function softLines(line: string): string {
  const octets = encodeUtf8(line);
  const signs = Array.from(octets, (octet, i) => {
    const isPlain = (octet >= 33 && octet <= 126 && octet !== 61) || octet === 32 || octet === 9;
    const isEnd = i === octets.length - 1 && octet < 33;
    return isPlain && !isEnd
      ? String.fromCharCode(octet)
      : `=${octet.toString(16).toUpperCase().padStart(2, '0')}`;
  });
  const lines: string[] = [];
  let piece = '';
  for (const sign of signs) {
    if (piece.length + sign.length > MAX_LINE - 1) {
      lines.push(`${piece}=`);
      piece = '';
    }
    piece += sign;
  }
  return [...lines, piece].join('\r\n');
}
