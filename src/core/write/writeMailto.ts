import type { OutMessage } from './writeMessage';

/** Letters that programs and systems take in an address; longer ones are cut off in silence by some (common practice). */
export const MAX_MAILTO = 1900;

/** An address that a mail program opens with the message in it (RFC 6068 §2). */
export function writeMailto({ to, cc, bcc, subject, body }: OutMessage): string {
  const addresses = (all: OutMessage['to']) => all.map(({ address }) => encodeAddress(address)).join(',');
  const fields = [
    ['cc', addresses(cc)],
    ['bcc', addresses(bcc)],
    ['subject', encodeURIComponent(subject)],
    // RFC 6068 §5: line breaks in a body are CRLF.
    ['body', encodeURIComponent(body.replace(/\r?\n/g, '\r\n'))],
  ].filter(([, value]) => value !== '');
  const query = fields.map(([name, value]) => `${name}=${value}`).join('&');
  return `mailto:${addresses(to)}${query === '' ? '' : `?${query}`}`;
}

function encodeAddress(address: string): string {
  return encodeURIComponent(address.trim()).replaceAll('%40', '@');
}
