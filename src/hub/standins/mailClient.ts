import { nameOnDevice } from './nameOnDevice';
import type { StandIn } from './standIn';
import { writeOldVcard } from './writeOldVcard';

const MAX_MAILS = 3;

/** A mail client: a name, three mail addresses without labels, one number. It makes cards of people it writes to. */
export const mailClient: StandIn = {
  kind: 'mail',
  name: 'Mail client',
  everyMinutes: 30,
  photoSide: null,
  version: '3.0',
  groups: false,
  keep: (card) => ({
    ...nameOnDevice(card),
    emails: Object.fromEntries(
      Object.entries(card.emails ?? {})
        .slice(0, MAX_MAILS)
        .map(([id, { address }]) => [id, { address }]),
    ),
    phones: Object.fromEntries(
      Object.entries(card.phones ?? {})
        .slice(0, 1)
        .map(([id, { number }]) => [id, { number }]),
    ),
  }),
  write: (card) =>
    writeOldVcard(card, { typeCase: 'lower', mailsFirst: true, program: 'Cordialis stand-in//Mail client' }),
};
