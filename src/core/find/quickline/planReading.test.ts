import fc from 'fast-check';

import { type Card, shownAs, tagsOf } from '@/core/card';
import { isFormatId } from '@/core/formats';
import { isList, isRuleList, memberUids } from '@/core/lists';
import { generateBook } from '@/demo';

import { NamesOfBook } from '../line/lineBook';
import { FILE_WORDS } from '../line/lineWords.data';
import { understandLine } from '../line/understandLine';
import type { Offer } from './planQuick';
import { planReading } from './planReading';

const today = '2026-11-25';
const cards = generateBook(today);
const book = new NamesOfBook(cards);
const byUid = new Map(cards.map((card) => [card.uid, card]));
let count = 0;
const context = {
  ...{ country: 'GB', locale: 'en-GB', today },
  getCard: (uid: string) => byUid.get(uid),
  getList: (uid: string) => byUid.get(uid),
  // Of a list that fills itself somebody else knows.
  countOn: (uid: string) => {
    const list = byUid.get(uid);
    return list && !isRuleList(list) ? memberUids(list).length : 7;
  },
  newUid: () => `new-${(count += 1)}`,
  utcNow: () => '2026-11-25T10:00:00Z',
};
const plan = (text: string): Offer | undefined => {
  const [best] = understandLine(text, { book, today });
  return best && planReading(best, context);
};
const after = (text: string): Card[] => {
  const offer = plan(text);
  return offer && 'upserts' in offer ? [...offer.upserts] : [];
};

const says: readonly (readonly [line: string, label: string, detail: string])[] = [
  ['put ada on patrons', 'Add to Ada Lowther', 'on Patrons'],
  ['put ada and götz on the press list', 'Add to Ada Lowther, Götz Achterberg', '2 people · on Press'],
  ['tag ada choir', 'Add to Ada Lowther', 'tag choir'],
  ['rhythm ada monthly', 'Change Ada Lowther', 'rhythm 1 month'],
  ['remind me to call ada on friday', 'Remind me to call Ada Lowther on 27 November 2026', ''],
  ['meet ada tomorrow 10:00', 'Meet Ada Lowther: 26 November 2026 at 10:00', ''],
  ['write to patrons', 'Write to Patrons', '18 people'],
  ['print labels for patrons', 'Print labels for Patrons', '18 people'],
  ['call ada', 'Call Ada Lowther', ''],
  [
    'new Zora Quast, Quay Strings, zora@example.org',
    'New card Zora Quast',
    'organisation Quay Strings · mail zora@example.org',
  ],
  ['new list Choir', 'New list Choir', ''],
  [
    'note a talk with götz: rang about the fee, again in ten days',
    'Note a talk with Götz Achterberg: meeting, rang about the fee, again on 5 December 2026',
    '',
  ],
  ['merge ada and götz', 'Merge Ada Lowther and Götz Achterberg', 'seen side by side first'],
  ['untag nia nothing', 'Change Nia Prosser', 'is already so'],
];
test.each(says)('“%s” says “%s” and “%s” before it does it', (line, label, detail) => {
  const offer = plan(line);
  expect(offer?.label).toBe(label);
  if (detail !== '') expect(offer?.detail).toBe(detail);
});

test('a talk is noted with what was said, on its day, and the next one is set', () => {
  const offer = plan('called ada and götz yesterday about the hall, again in ten days');
  expect(offer).toMatchObject({
    kind: 'change',
    detail: '2 people',
    talks: [{ kind: 'call', direction: 'out', day: '2026-11-24', said: 'the hall' }],
  });
  const named = offer && 'talks' in offer ? offer.talks?.[0]?.with.map((uid) => byUid.get(uid)) : [];
  expect(named?.map((card) => card && shownAs(card))).toEqual(['Ada Lowther', 'Götz Achterberg']);
  const changed = offer && 'upserts' in offer ? offer.upserts : [];
  expect(changed.map((card) => card['cordialis.example:due'])).toEqual(['2026-12-05', '2026-12-05']);
});

test('what was filled in is on the card and on the list, and what was there stays', () => {
  const changed = after('ada new@example.org 07700 900999 #choir on patrons');
  const ada = changed.find((card) => shownAs(card) === 'Ada Lowther');
  const patrons = changed.find(isList);
  const before = cards.find((card) => shownAs(card) === 'Ada Lowther');
  expect(Object.values(ada?.emails ?? {}).map(({ address }) => address)).toEqual([
    ...Object.values(before?.emails ?? {}).map(({ address }) => address),
    'new@example.org',
  ]);
  expect(ada && tagsOf(ada)).toContain('choir');
  expect(patrons && memberUids(patrons)).toContain(ada?.uid);
});

test('a kind that was said is on the value', () => {
  const [mobile] = after('ada mobile 07700 900123');
  expect(Object.values(mobile?.phones ?? {}).at(-1)).toMatchObject({ features: { mobile: true } });
  const [work] = after('una work mail una@work.example');
  expect(Object.values(work?.emails ?? {}).at(-1)).toMatchObject({ contexts: { work: true } });
});

const uidOf = (name: string) => cards.find((card) => shownAs(card) === name)?.uid;

test('a card that is sent goes along with a message to whoever is to have it', () => {
  expect(plan('send ada to götz')).toMatchObject({
    ...{ kind: 'go', path: '/write', label: 'Send the card of Ada Lowther to Götz Achterberg' },
    to: [{ kind: 'card', uid: uidOf('Götz Achterberg') }],
    attached: [{ kind: 'card', uid: uidOf('Ada Lowther') }],
  });
  expect(plan('send patrons the card of ada')).toMatchObject({
    to: [{ kind: 'list', uid: uidOf('Patrons') }],
    attached: [{ kind: 'card', uid: uidOf('Ada Lowther') }],
    detail: '18 people',
  });
});

test('an export says as what, whose and how many, as they are counted by whoever knows who is on lists of lists', () => {
  expect(plan('export ada')).toMatchObject({ kind: 'file', format: 'vcard4', detail: '' });
  expect(plan('export patrons as csv')).toMatchObject({
    ...{ kind: 'file', format: 'csv', label: 'Export Patrons as a table' },
    whose: [{ kind: 'list', uid: uidOf('Patrons') }],
  });
  const rule = cards.find(isRuleList);
  expect(plan(`export ${rule ? shownAs(rule) : ''}`)).toMatchObject({ kind: 'file', detail: '7 people' });
});

test('each format that a line can name is one that is written', () => {
  for (const [words, id] of Object.entries(FILE_WORDS))
    expect([words, isFormatId(id), plan(`export ada as ${words}`)]).toMatchObject([
      words,
      true,
      { format: id },
    ]);
});

test('archived, private and pinned are said and taken back by their opposites', () => {
  for (const [there, back] of [
    ['archive tomasz', 'bring tomasz back'],
    ['make tomasz private', 'make tomasz public'],
    ['pin tomasz', 'unpin tomasz'],
  ] as const) {
    const [once] = after(there);
    expect(once).toBeDefined();
    const known = new Map(byUid).set(once?.uid ?? '', once as Card);
    const [reading] = understandLine(back, { book, today });
    const offer = reading && planReading(reading, { ...context, getCard: (uid) => known.get(uid) });
    const [again] = offer && 'upserts' in offer ? offer.upserts : [];
    expect(again).toEqual(byUid.get(once?.uid ?? ''));
  }
});

test('any line is planned without a fault, and a change never reaches more cards than it names', () => {
  const word = fc.constantFrom(
    ...'put tag ada götz una on patrons press monthly call meet remind tomorrow note new mail a@b.example 07700 900123 and archive #x every 3 weeks'.split(
      ' ',
    ),
  );
  fc.assert(
    fc.property(fc.array(word, { minLength: 1, maxLength: 9 }), (words) => {
      for (const reading of understandLine(words.join(' '), { book, today })) {
        const offer = planReading(reading, context);
        if (offer?.kind !== 'change') continue;
        const people = offer.upserts.filter((card) => !isList(card));
        expect(people.every(({ uid }) => reading.uids.includes(uid))).toBe(true);
      }
    }),
    { numRuns: 500 },
  );
});
