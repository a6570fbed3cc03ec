import { linkToCard } from '../notes/cardLinks';
import { parseNote } from '../notes/parseNote';
import { newCard } from '../parseCard';
import type { Card } from '../schema/types';
import { relinkCard } from './relinkCard';

test('other cards follow: relations, members, the address a list uses, links in notes', () => {
  const link = (uid: string) => `Ask ${linkToCard(uid, 'Bo')} first`;
  const other: Card = {
    ...newCard('x', '2026-01-01T00:00:00Z'),
    kind: 'group',
    relatedTo: { old: { relation: { friend: true } } },
    members: { old: true, z: true },
    'cordialis.example:memberReach': { old: { emailId: 'e1' } },
    notes: { o1: { note: link('urn:old (1)') } },
  };
  const relinked = relinkCard(
    other,
    new Map([
      ['old', 'new'],
      ['urn:old (1)', 'new'],
    ]),
  );
  expect(relinked.relatedTo).toEqual({ new: { relation: { friend: true } } });
  expect(relinked.members).toEqual({ new: true, z: true });
  expect(relinked['cordialis.example:memberReach']).toEqual({ new: { emailId: 'e1' } });
  const spans = parseNote(relinked.notes?.['o1']?.note ?? '').flatMap((block) => block.spans);
  expect(spans.find(({ kind }) => kind === 'card')).toMatchObject({ uid: 'new' });
  expect(relinkCard(other, new Map([['nobody', 'new']]))).toBe(other);
});

test('two that were related have become one: nobody is related to themselves', () => {
  const one: Card = {
    ...newCard('a', '2026-01-01T00:00:00Z'),
    relatedTo: { b: { relation: { friend: true } } },
  };
  expect(relinkCard(one, new Map([['b', 'a']]))).toEqual(newCard('a', '2026-01-01T00:00:00Z'));
});
