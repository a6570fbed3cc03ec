import { type Card, formatPhone, parsePhone, type Phone } from '@/core/card';

import { nameOnDevice } from './nameOnDevice';
import type { StandIn } from './standIn';
import { writeOldVcard } from './writeOldVcard';

const [MAX_PHONES, MAX_MAILS] = [6, 3];
/** Whose local style numbers are written in, ISO 3166-1 alpha-2. */
const COUNTRY = 'GB';

/**
 * A phone: a name, numbers under three labels in the style of the country, three mail addresses, an organisation with a
 * title, a note, and a picture cut down to its screen. Everything else it drops.
 */
export const phone: StandIn = {
  kind: 'phone',
  name: 'Phone',
  everyMinutes: 15,
  photoSide: 96,
  version: '3.0',
  groups: false,
  keep: (card) => ({
    ...nameOnDevice(card),
    phones: Object.fromEntries(
      Object.entries(card.phones ?? {})
        .slice(0, MAX_PHONES)
        .map(([id, entry]) => [id, phoneOnPhone(entry)]),
    ),
    emails: Object.fromEntries(
      Object.entries(card.emails ?? {})
        .slice(0, MAX_MAILS)
        .map(([id, { address, contexts }]) => [id, { address, ...(contexts ? { contexts } : {}) }]),
    ),
    ...firstHouse(card),
    ...(card.notes ? { notes: card.notes } : {}),
    ...onePicture(card),
  }),
  write: (card) =>
    writeOldVcard(card, { typeCase: 'upper', mailsFirst: false, program: 'Cordialis stand-in//Phone' }),
};

/** Three labels: mobile, work, home. */
function phoneOnPhone({ number, contexts, features }: Phone): Phone {
  const parsed = parsePhone(number, COUNTRY);
  const local = parsed ? formatPhone(number, COUNTRY) : number;
  if (features?.mobile === true) return { number: local, features: { mobile: true } };
  if (contexts?.work === true) return { number: local, contexts: { work: true } };
  return { number: local, ...(contexts?.private === true ? { contexts: { private: true } } : {}) };
}

/** One picture. */
function onePicture({ media }: Card): Partial<Card> {
  const [first] = Object.entries(media ?? {}).filter(
    ([, { kind, uri }]) => kind === 'photo' && uri?.startsWith('data:') === true,
  );
  return first ? { media: { [first[0]]: first[1] } } : {};
}

/** One place of work. */
function firstHouse({ organizations, titles }: Card): Partial<Card> {
  const [house] = Object.entries(organizations ?? {});
  const [title] = Object.entries(titles ?? {});
  return {
    ...(house ? { organizations: { [house[0]]: { name: house[1].name ?? '' } } } : {}),
    ...(title ? { titles: { [title[0]]: { name: title[1].name } } } : {}),
  };
}
