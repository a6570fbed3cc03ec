import { type Card, newCard, parseName } from '@/core/card';
import { acceptNews, isStillNews, type Signature } from '@/core/talks';

import { findNews } from './findNews';

const ADA: Card = {
  ...newCard('ada', '2026-01-01T00:00:00Z'),
  ...{ kind: 'individual', name: parseName('Ada Lowther') ?? {} },
  organizations: { g1: { name: 'Tidewater Octet' } },
  titles: { t1: { name: 'Double bass' } },
  phones: { p1: { number: '+44 20 7946 0123' } },
  emails: { e1: { address: 'ada@example.org' } },
};
const signed = (...lines: string[]): Signature => ({
  ...{ uid: 'ada', day: '2026-11-20' },
  text: ['Thank you for the parts.', '', 'Best wishes', ...lines].join('\n'),
});
const shown = (signature: Signature, card = ADA) =>
  findNews(card, signature, { country: 'GB' }).map(({ collection, shown: value, before }) =>
    [collection, value, ...(before === undefined ? [] : [before])].join(': '),
  );

const cases: readonly { name: string; lines: readonly string[]; news: readonly string[] }[] = [
  {
    name: 'another post and house take the place of the only ones; a number comes beside the known one',
    lines: [
      'Ada Lowther',
      'Artistic Director',
      'Northgate Sinfonia Ltd',
      'T: 020 7946 0123',
      'M: 07700 900456',
    ],
    news: [
      'organizations: Northgate Sinfonia Ltd: Tidewater Octet',
      'titles: Artistic Director: Double bass',
      'phones: 07700 900456',
    ],
  },
  {
    name: 'what is known, however it is written, is none',
    lines: ['Ada Lowther', 'Tidewater Octet', 'Tel. (020) 7946-0123', 'ADA@example.org'],
    news: [],
  },
  {
    name: 'another mail address comes beside the known one',
    lines: ['Ada Lowther', 'ada@example.org', 'ada@northgate.example'],
    news: ['emails: ada@northgate.example'],
  },
  {
    name: 'another address is news, with its street and town',
    lines: ['Ada Lowther', '14 Harbour Street', 'Bristol BS1 5TY'],
    news: ['addresses: 14 Harbour Street, Bristol BS1 5TY'],
  },
  {
    name: 'the signature of somebody else is not hers',
    lines: ['Cara Quist', 'Assistant to Ada', 'T: 020 7946 0999'],
    news: [],
  },
  { name: 'no signature says nothing', lines: ['See you on the 12th at 8'], news: [] },
];
for (const { name, lines, news } of cases) test(name, () => expect(shown(signed(...lines))).toEqual(news));

test('news that is accepted stands on the card and is none any more; what it replaces is gone', () => {
  const news = findNews(ADA, signed('Ada Lowther', 'Artistic Director', 'M: 07700 900456'), {
    country: 'GB',
  });
  const after = news.reduce(acceptNews, ADA);
  expect(after.titles).toEqual({ t1: { name: 'Artistic Director' } });
  expect(Object.values(after.phones ?? {}).map(({ number }) => number)).toEqual([
    '+44 20 7946 0123',
    '+447700900456',
  ]);
  expect(news.map((one) => [isStillNews(ADA, one), isStillNews(after, one)])).toEqual([
    [true, false],
    [true, false],
  ]);
});

test('the same value seen twice is one piece of news', () => {
  const ids = ['2026-11-20', '2026-11-21'].map((day) =>
    findNews(ADA, { ...signed('Ada Lowther', 'M: 07700 900456'), day }, { country: 'GB' }).map(
      ({ id }) => id,
    ),
  );
  expect(ids[0]).toEqual(ids[1]);
});
