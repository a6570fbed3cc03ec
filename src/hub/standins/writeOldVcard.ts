import type { Card } from '@/core/card';

/** How a program writes vCard 3.0 (RFC 2426): what it calls things, in which order, in which case. */
export interface OldHabits {
  readonly typeCase: 'upper' | 'lower';
  /** Mail addresses before numbers. */
  readonly mailsFirst: boolean;
  /** What the program calls itself in PRODID. */
  readonly program: string;
}

/**
 * Writes a card as an independent program would, sharing none of our writer's habits: types in other case, properties
 * in another order, lines folded at 75 octets of ASCII, escapes by RFC 2426 §5.
 */
export function writeOldVcard(card: Card, { typeCase, mailsFirst, program }: OldHabits): string {
  const cased = (types: readonly string[]) =>
    types.map((type) => `;TYPE=${typeCase === 'upper' ? type.toUpperCase() : type}`).join('');
  const part = (kind: string) =>
    (card.name?.components ?? [])
      .filter((one) => one.kind === kind)
      .map(({ value }) => value)
      .join(' ');
  const names = [part('surname'), part('given'), part('given2'), part('title'), part('credential')];
  const mails = Object.values(card.emails ?? {}).map(
    ({ address, contexts }) => `EMAIL${cased(['internet', ...typesOf(contexts)])}:${escape(address)}`,
  );
  const phones = Object.values(card.phones ?? {}).map(
    ({ number, contexts, features }) =>
      `TEL${cased([...typesOf(contexts), ...(features?.mobile === true ? ['cell'] : ['voice'])])}:${escape(number)}`,
  );
  const lines = [
    ...['BEGIN:VCARD', 'VERSION:3.0', `PRODID:-//${program}//EN`, `UID:${card.uid}`],
    `FN:${escape(card.name?.full ?? names.slice(0, 2).reverse().filter(Boolean).join(' '))}`,
    `N:${names.map(escape).join(';')}`,
    ...(mailsFirst ? [...mails, ...phones] : [...phones, ...mails]),
    ...Object.values(card.organizations ?? {}).map(({ name = '' }) => `ORG:${escape(name)}`),
    ...Object.values(card.titles ?? {}).map(({ name }) => `TITLE:${escape(name)}`),
    ...Object.values(card.media ?? {}).flatMap(({ kind, uri }) =>
      kind === 'photo' && uri !== undefined ? [pictureLine(uri)] : [],
    ),
    ...Object.values(card.notes ?? {}).map(({ note }) => `NOTE:${escape(note)}`),
    'END:VCARD',
  ];
  return lines.map((line) => `${fold(line)}\r\n`).join('');
}

/** RFC 2426 §3.1.4: the octets of a picture with pixels, the address of any other. */
function pictureLine(uri: string): string {
  const [, type = '', data] = /^data:image\/(jpeg|png|gif);base64,(.*)$/s.exec(uri) ?? [];
  return data === undefined
    ? `PHOTO;VALUE=uri:${uri}`
    : `PHOTO;ENCODING=b;TYPE=${type.toUpperCase()}:${data}`;
}

function typesOf(contexts: Readonly<Record<string, unknown>> | undefined): string[] {
  return Object.keys(contexts ?? {}).flatMap((context) =>
    context === 'private' ? ['home'] : context === 'work' ? ['work'] : [],
  );
}

function escape(text: string): string {
  return text.replace(/[\\;,]/g, '\\$&').replace(/\r?\n/g, '\\n');
}

function fold(line: string): string {
  const pieces: string[] = [];
  let piece = '';
  for (const char of line) {
    if (Buffer.byteLength(piece + char) > 74) {
      pieces.push(piece);
      piece = '';
    }
    piece += char;
  }
  return [...pieces, piece].join('\r\n ');
}
