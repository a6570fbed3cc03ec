import type { MailDraftNow } from '@/book/write';
import { fillTemplate, type OutMessage, type Recipient, type TemplateContext } from '@/core/write';

/** One message to all who get it. */
export function messageToAll(
  people: readonly Recipient[],
  placeOf: MailDraftNow['placeOf'],
  { subject, body }: Pick<OutMessage, 'subject' | 'body'>,
): OutMessage {
  const at = (place: string) => people.filter(({ key }) => placeOf(key) === place);
  return { to: at('to'), cc: at('cc'), bcc: at('bcc'), subject, body };
}

/** The message that one of them gets, filled in from their card. */
export function messageTo(
  one: Recipient,
  card: Parameters<typeof fillTemplate>[1],
  { subject, body }: Pick<OutMessage, 'subject' | 'body'>,
  context: TemplateContext,
): OutMessage {
  const fill = (text: string) => fillTemplate(text, card, context);
  return { to: [one], cc: [], bcc: [], subject: fill(subject), body: fill(body) };
}
