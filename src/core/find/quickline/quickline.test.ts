import { type Card, newCard, parseName, tagsOf } from '@/core/card';
import { memberUids, newList } from '@/core/lists';

import { numbered } from '../../../../test/unit/numbered';
import { parseQuick } from './parseQuick';
import { planNew, planQuick } from './planQuick';

const lists = [
  { uid: 'L1', name: 'Patrons' },
  { uid: 'L2', name: 'Players of this year' },
];
const patrons = newList('L1', 'Patrons', 'x');
const context = {
  country: 'GB',
  locale: 'en-GB',
  getList: (uid: string) => (uid === 'L1' ? patrons : undefined),
};
const ada: Card = {
  ...newCard('a', '2026-01-01T00:00:00Z'),
  name: parseName('Ada Lowther') ?? {},
  phones: { p1: { number: '020 7946 0958' } },
  emails: { e1: { address: 'ada@example.org' } },
};

const lines: { line: string; is: Partial<ReturnType<typeof parseQuick>> }[] = [
  { line: 'ada lowther', is: { name: 'ada lowther', fills: [] } },
  { line: 'call ada', is: { verb: 'call', name: 'ada' } },
  { line: 'Ada Lowther call', is: { verb: 'call', name: 'Ada Lowther' } },
  { line: 'write to ada', is: { verb: 'write', name: 'ada' } },
  { line: 'show the way to ada', is: { verb: 'way', name: 'ada' } },
  { line: 'ada mail', is: { wanted: 'mail', name: 'ada' } },
  { line: 'mail ada', is: { verb: 'write', name: 'ada' } },
  { line: 'copy ada number', is: { verb: 'copy', wanted: 'number', name: 'ada' } },
  { line: 'call', is: { name: 'call', fills: [] } },
  { line: 'ada 07700 900123', is: { name: 'ada', fills: [{ kind: 'number', value: '07700 900123' }] } },
  { line: 'ada 2026-05-12', is: { name: 'ada 2026-05-12', fills: [] } },
  { line: 'ada 12.05.2026', is: { name: 'ada 12.05.2026', fills: [] } },
  { line: 'Zora 2 07700900123', is: { name: 'Zora 2', fills: [{ kind: 'number', value: '07700900123' }] } },
  {
    line: 'ada 2026-05-12 07700 900123',
    is: { name: 'ada 2026-05-12', fills: [{ kind: 'number', value: '07700 900123' }] },
  },
  { line: 'ada 020 7946 0123', is: { name: 'ada', fills: [{ kind: 'number', value: '020 7946 0123' }] } },
  { line: 'ada 1234', is: { name: 'ada 1234', fills: [] } },
  {
    line: 'Zora Quast <z@example.org>',
    is: { name: 'Zora Quast', fills: [{ kind: 'mail', value: 'z@example.org' }] },
  },
  { line: 'ada on patr', is: { name: 'ada', fills: [{ kind: 'list', value: 'Patrons', uid: 'L1' }] } },
  {
    line: 'add ada to players of',
    is: { verb: 'add', name: 'ada', fills: [{ kind: 'list', value: 'Players of this year', uid: 'L2' }] },
  },
  { line: 'ada to nowhere', is: { name: 'ada to nowhere', fills: [] } },
  { line: 'ada #choir', is: { name: 'ada', fills: [{ kind: 'tag', value: 'choir' }] } },
  {
    line: 'ada note: likes a@b.example on Mondays',
    is: { name: 'ada', fills: [{ kind: 'note', value: 'likes a@b.example on Mondays' }] },
  },
  {
    line: 'ada born 3 May 1968 #choir',
    is: {
      name: 'ada',
      fills: [
        { kind: 'birthday', value: '3 May 1968', date: { year: 1968, month: 5, day: 3 } },
        { kind: 'tag', value: 'choir' },
      ],
    },
  },
  {
    line: 'ada at Harbour Hall',
    is: { name: 'ada', fills: [{ kind: 'organisation', value: 'Harbour Hall' }] },
  },
];
for (const { line, is } of lines) {
  test(`“${line}” is understood`, () => expect(parseQuick(line, { lists })).toMatchObject(is));
}

const plans: { line: string; is: object | undefined }[] = [
  {
    line: 'call ada',
    is: { kind: 'outside', label: 'Call Ada Lowther', detail: '020 7946 0958', uri: 'tel:+442079460958' },
  },
  { line: 'way to ada', is: { kind: 'none', detail: 'has no address' } },
  { line: 'ada mail', is: { kind: 'copy', label: 'Ada Lowther: mail', text: 'ada@example.org' } },
  { line: 'ada birthday', is: { kind: 'none', detail: 'is not on the card' } },
  { line: 'edit ada', is: { kind: 'page', page: '/edit' } },
  {
    line: 'note a talk with ada',
    is: { kind: 'page', page: '?talk=new', label: 'Note a talk with Ada Lowther' },
  },
  { line: 'ada talk', is: { kind: 'page', page: '?talk=new' } },
  { line: 'unpin ada', is: { kind: 'none', detail: 'is already so' } },
  { line: 'ada', is: undefined },
  // What is there already, in whatever writing, is not added again.
  { line: 'ada +44 20 7946 0958', is: undefined },
  { line: 'ada ADA@example.org', is: undefined },
];
for (const { line, is } of plans) {
  test(`“${line}” is planned`, () => {
    const offer = planQuick(ada, parseQuick(line, { lists }), context);
    if (is === undefined) expect(offer).toBeUndefined();
    else expect(offer).toMatchObject(is);
  });
}

const born: Card = { ...ada, anniversaries: { a1: { kind: 'birth', date: { month: 5, day: 3 } } } };
const birthdays: { line: string; is: object | undefined }[] = [
  { line: 'ada born 3 May', is: undefined },
  {
    line: 'ada birthday 4 May',
    is: { kind: 'page', page: '/edit', label: 'Change the birthday of Ada Lowther', detail: '3 May so far' },
  },
];
for (const { line, is } of birthdays) {
  test(`“${line}” of somebody whose birthday is known`, () => {
    const offer = planQuick(born, parseQuick(line, { lists }), context);
    if (is === undefined) expect(offer).toBeUndefined();
    else expect(offer).toMatchObject(is);
  });
}

test('several things are filled in at once, lists among them', () => {
  const offer = planQuick(
    ada,
    parseQuick('ada ada@home.example #choir on patrons born 3 May', { lists }),
    context,
  );
  expect(offer).toMatchObject({ kind: 'change', label: 'Add to Ada Lowther' });
  expect(offer?.detail).toBe('mail ada@home.example · birthday 3 May · tag choir · on Patrons');
  const [card, list] = offer && 'upserts' in offer ? offer.upserts : [];
  expect(card && numbered(card).emails).toEqual({
    e1: { address: 'ada@example.org' },
    e2: { address: 'ada@home.example' },
  });
  expect(card && tagsOf(card)).toEqual(['choir']);
  expect(list && memberUids(list)).toEqual(['a']);
});

test('a name nobody has makes a card of what was recognised', () => {
  const offer = planNew(parseQuick('Zora Quast 07700 900123 on patrons', { lists }), 'z', 'now', context);
  expect(offer).toMatchObject({
    kind: 'new',
    label: 'New card Zora Quast',
    detail: 'number 07700 900123 · on Patrons',
  });
  const [card] = offer && 'upserts' in offer ? offer.upserts : [];
  expect(card?.name?.components).toMatchObject([{ value: 'Zora' }, { value: 'Quast' }]);
  expect(planNew(parseQuick('#choir', { lists }), 'z', 'now', context)).toBeUndefined();
});
