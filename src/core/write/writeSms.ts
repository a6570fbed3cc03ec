import type { Card } from '@/core/card';

/** A number that takes text messages: one that says so, else a mobile one; undefined where the card has neither. */
export function smsNumber(card: Card | undefined): string | undefined {
  const phones = Object.values(card?.phones ?? {}).sort((a, b) => (a.pref ?? 101) - (b.pref ?? 101));
  const one =
    phones.find(({ features }) => features?.text === true) ??
    phones.find(({ features }) => features?.mobile === true);
  return one?.number;
}

/** An address that opens a text message to some numbers (RFC 5724 §2.2). */
export function writeSms(numbers: readonly string[], text: string): string {
  // RFC 3966 §5.1.1: only digits and the plus count; what stands between them is for the eye.
  const plain = numbers.map((number) => number.replace(/^tel:/i, '').replace(/[^\d+]/g, ''));
  const body = text === '' ? '' : `?body=${encodeURIComponent(text.replace(/\r?\n/g, '\r\n'))}`;
  return `sms:${plain.join(',')}${body}`;
}
