import { newCard, shownAs } from '@/core/card';

import { extractCard } from './extractCard';
import { findOthers } from './findOthers';

const THREAD = `Hi Marcus,

Sure, call me any time.

Aoife Lennon
Harpist
+353 87 555 0142

On Tue, 5 May 2026 at 09:12, Marcus Webb <marcus@webb.example> wrote:
> Aoife, what is your number?
>
> Marcus
> Booking, Webb Concerts, 020 7946 0777
>
> > On 4 May 2026, Odile Marsh wrote:
> > Who plays the harp?
> >
> > Best wishes
> > Odile Marsh
> > Marsh Arts
`;

test('the card is of who wrote last; the others of the thread are offered, each with their own words', () => {
  const { card } = extractCard(THREAD, newCard('x', '2026-01-01T00:00:00Z'));
  expect(shownAs(card)).toBe('Aoife Lennon');
  const others = findOthers(THREAD, { country: 'GB' });
  expect(others.map(({ name }) => name)).toEqual(['Marcus Webb', 'Odile Marsh']);
  const marcus = extractCard(others[0]?.text ?? '', newCard('y', '2026-01-01T00:00:00Z'), {
    country: 'GB',
  }).card;
  expect(Object.values(marcus.emails ?? {})).toMatchObject([{ address: 'marcus@webb.example' }]);
  expect(JSON.stringify(marcus.phones)).toContain('+442079460777');
  expect(JSON.stringify(marcus)).not.toContain('Marsh');
});

test('a mail below its head is read by itself; one that says the same person again is not offered', () => {
  const text = `Fine with me.\n\nBest\nCallum Strand\n\nFrom: Noor Vance <noor@vance.example>\nSent: 2 May 2026\nTo: Callum Strand\n\nCould you do the 12th?\nNoor Vance\nVance Arts\n\nFrom: Callum Strand <c@strand.example>\nSent: 1 May 2026\n\nHello\nCallum Strand`;
  expect(findOthers(text).map(({ name }) => name)).toEqual(['Noor Vance']);
});

test('a text of one person has nobody else in it', () => {
  expect(findOthers('Regards\nAnna Lund\nOrganist')).toEqual([]);
  expect(findOthers('')).toEqual([]);
});
