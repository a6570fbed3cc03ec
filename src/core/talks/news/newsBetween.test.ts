import { type Card, newCard } from '@/core/card';

import { acceptNews, isStillNews, newsSchema } from './news';
import { newsBetween } from './newsBetween';

const card = (more: Partial<Card>): Card => ({ ...newCard('ada', '2026-01-01T00:00:00Z'), ...more });
const OWN = card({
  titles: { t1: { name: 'Viola' } },
  organizations: { g1: { name: 'Quay Strings' } },
  phones: { p1: { number: '020 7946 0958' }, p2: { number: '07700 900123' } },
  emails: { e1: { address: 'Ada@example.org' } },
});
const between = (other: Partial<Card>) =>
  newsBetween(OWN, card({ ...other, uid: 'other' }), { uid: 'ada', day: '2026-11-26', from: 'directory' });

test('what is written otherwise is no news', () => {
  const other = {
    titles: { x: { name: 'viola' } },
    phones: { x: { number: '+44 20 7946 0958' }, y: { number: '' } },
    emails: { x: { address: 'ada@EXAMPLE.org' } },
  };
  expect(between(other)).toEqual([]);
  expect(between({})).toEqual([]);
});

test('another post takes the place of the one that is there; another number comes beside the others', () => {
  const other = {
    organizations: { q: { name: 'Brine & Bellows' } },
    titles: { x: { name: 'Artistic Director', organizationId: 'q' } },
    phones: { x: { number: '+44 20 7946 0999' } },
  };
  const news = between(other);
  expect(
    news.map(({ collection, shown, before, replaces }) => [collection, shown, before, replaces]),
  ).toEqual([
    ['organizations', 'Brine & Bellows', 'Quay Strings', 'g1'],
    ['titles', 'Artistic Director', 'Viola', 't1'],
    ['phones', '+44 20 7946 0999', undefined, undefined],
  ]);
  let now = OWN;
  for (const one of news) {
    expect(newsSchema.parse(JSON.parse(JSON.stringify(one)))).toEqual(one);
    expect(isStillNews(now, one)).toBe(true);
    now = acceptNews(now, one);
    expect(isStillNews(now, one)).toBe(false);
  }
  expect(now.titles).toEqual({ t1: { name: 'Artistic Director' } });
  expect(Object.keys(now.phones ?? {})).toHaveLength(3);
  // Taken over, it is no news any more, and the same news has the same name each time.
  expect(
    newsBetween(now, card({ ...other, uid: 'other' }), { uid: 'ada', day: '2026-11-27', from: 'import' }),
  ).toEqual([]);
  expect(between(other).map(({ id }) => id)).toEqual(news.map(({ id }) => id));
});
