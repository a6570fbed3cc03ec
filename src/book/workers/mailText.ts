import PostalMime from 'postal-mime';

import type { MailPart } from '@/core/talks';

/** Letters of a message that are kept. */
const KEPT = 4000;

/** What was written in a message, without what it answers to; '' where there is no text in it. */
export async function mailText({ head, body }: MailPart): Promise<string> {
  const whole = new Uint8Array(head.length + 2 + body.length);
  whole.set(head);
  whole.set([13, 10], head.length);
  whole.set(body, head.length + 2);
  try {
    const { text = '' } = await PostalMime.parse(whole);
    return withoutQuotes(text).slice(0, KEPT);
  } catch {
    return '';
  }
}

/** Lines that begin with ">" are what is answered to (RFC 3676 §4.5), and the line before them says whose they are. */
function withoutQuotes(text: string): string {
  const kept = text.split(/\r?\n/).filter((line) => !line.startsWith('>'));
  if (/:\s*$/.test(kept.at(-1) ?? '')) kept.pop();
  return kept
    .join('\n')
    .replace(/\n{3,}/g, '\n\n')
    .trim();
}
