import { newCard } from '../parseCard';
import type { Card } from '../schema/types';
import { briefLines, type BriefOptions } from './briefLines';

const card = (uid: string, more: Partial<Card> = {}): Card => ({
  ...newCard(uid, '2026-01-01T00:00:00Z'),
  ...more,
});
const daughter = card('mia', {
  anniversaries: { b: { kind: 'birth', date: { year: 2016, month: 11, day: 28 } } },
});
const options: BriefOptions = {
  ...{ today: '2026-11-25', leapDay: 'february-28' },
  cardOf: (uid) => (uid === 'mia' ? daughter : undefined),
  nameOf: (uid) => ({ mia: 'Mia Ek', anna: 'Anna Ek', boss: 'Cy Quast' })[uid],
};

test('family with its own days near, interests, the time there, the own day', () => {
  const one = card('bo', {
    relatedTo: {
      anna: { relation: { spouse: true } },
      mia: { relation: { child: true } },
      boss: { relation: { colleague: true } },
    },
    personalInfo: {
      i1: { kind: 'hobby', value: 'sailing' },
      i2: { kind: 'interest', value: 'old maps' },
    },
    anniversaries: { b: { kind: 'birth', date: { year: 1966, month: 11, day: 26 } } },
  });
  const there = { zone: 'Asia/Tokyo', now: '19:05' };
  expect(briefLines(one, { ...options, there, news: 'post' })).toEqual([
    { label: 'Soon', text: 'birthday in 1 day, 60 years' },
    { label: 'Family', text: 'spouse Anna Ek; child Mia Ek (birthday in 3 days, 10 years)' },
    { label: 'Interests', text: 'sailing, old maps' },
    { label: 'Local time', text: '19:05 (Asia/Tokyo)' },
    { label: 'New', text: 'post' },
  ]);
});

test('what was said last: its first paragraph, without marks, cut at a word', () => {
  const said = `**Agreed** on the fee with [Ada](card:ada).\n\nMore below.`;
  expect(briefLines(card('bo'), { ...options, lastSaid: said })).toEqual([
    { label: 'Last said', text: 'Agreed on the fee with Ada.' },
  ]);
  const [line] = briefLines(card('bo'), { ...options, lastSaid: 'word '.repeat(60) });
  expect(line?.text).toMatch(/^(word )+…$/);
  expect(line?.text.length).toBeLessThan(145);
});

test('nothing is said of the days of the dead, and an empty card has no line', () => {
  const dead = card('bo', {
    anniversaries: {
      b: { kind: 'birth', date: { month: 11, day: 26 } },
      d: { kind: 'death', date: { year: 2001 } },
    },
  });
  expect(briefLines(dead, options)).toEqual([]);
});
