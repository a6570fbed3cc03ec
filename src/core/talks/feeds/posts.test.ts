import fc from 'fast-check';

import { type Card, newCard } from '@/core/card';

import { compareTalks, type Talk } from '../talk';
import { amongTalks } from './amongTalks';
import { feedLinks, type Post } from './post';

const card: Card = {
  ...newCard('a', '2026-01-01T00:00:00Z'),
  links: {
    l1: { uri: ' https://ada.example ' },
    l2: { uri: 'https://ada.example' },
    l3: { uri: 'mailto:ada@example.org' },
    l4: Object.assign({ uri: 'https://hidden.example' }, { 'cordialis.example:private': true }),
  },
};

test('feeds are looked for at open addresses of the web only, each once', () => {
  expect(feedLinks(card)).toEqual(['https://ada.example']);
  expect(feedLinks({ ...card, 'cordialis.example:private': true })).toEqual([]);
});

const days = fc.integer({ min: 1, max: 28 }).map((day) => `2026-11-${String(day).padStart(2, '0')}`);
const talks = fc.array(days).map((all) =>
  all
    .map((day, i): Talk => ({
      ...{ id: `t${i}`, kind: 'call', day, direction: 'out', with: ['a'] },
      said: '',
    }))
    .sort(compareTalks),
);
const posts = fc
  .array(days)
  .map((all) => all.map((day, i): Post => ({ id: `p${i}`, title: '', at: `${day}T12:00:00Z`, summary: '' })));

test('talks keep their order among the posts, days never rise, and none is missing', () => {
  fc.assert(
    fc.property(talks, posts, (some, published) => {
      const lines = amongTalks(some, published, true, (at) => at.slice(0, 10));
      expect(lines.flatMap((line) => (line.kind === 'talk' ? [line.talk] : []))).toEqual(some);
      expect(lines).toHaveLength(some.length + published.length);
      const order = lines.map((line) => (line.kind === 'talk' ? line.talk.day : line.day));
      expect(order).toEqual([...order].sort().reverse());
    }),
  );
});

test('posts older than the talks at hand wait until those further back are read', () => {
  const talk: Talk = {
    ...{ id: 't', kind: 'mail', day: '2026-11-10', direction: 'in', with: ['a'] },
    said: '',
  };
  const post = (id: string, day: string): Post => ({ id, title: '', at: `${day}T12:00:00Z`, summary: '' });
  const published = [post('new', '2026-11-12'), post('old', '2026-11-01')];
  const idsOf = (isWhole: boolean) =>
    amongTalks([talk], published, isWhole, (at) => at.slice(0, 10)).map((line) =>
      line.kind === 'talk' ? line.talk.id : line.post.id,
    );
  expect(idsOf(false)).toEqual(['new', 't']);
  expect(idsOf(true)).toEqual(['new', 't', 'old']);
});
