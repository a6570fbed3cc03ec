import fc from 'fast-check';

import { newCard, parseCard } from '@/core/card';

import { cardFromSpans } from './cardFromSpans';
import { correctSpans } from './correctSpans';
import { extractCard } from './extractCard';
import { findSpans } from './findSpans';
import { plainText } from './plainText';
import { valuesOf } from './sampleValues';
import type { SpanField } from './spans';
import { textPieces } from './textPieces';

/** The word that is pressed at a place. */
const wordAt = (text: string, at: number) => {
  const word = textPieces(text, [])
    .flat()
    .find(({ start, end }) => start <= at && at < end);
  return word && { start: word.start, end: word.end };
};

const NOW = '2026-01-01T00:00:00Z';
const read = (text: string, country = 'GB') =>
  valuesOf(extractCard(text, newCard('x', NOW), { country }).card);

const cases: readonly { name: string; text: string; values: readonly string[]; country?: string }[] = [
  {
    name: 'who says in a sentence who they are',
    text: 'Hi, this is Ana from Quay Strings, my new number is 020 7946 0123. Could you call me back?',
    values: ['name: Ana', 'organisation: Quay Strings', 'phone: +442079460123'],
  },
  {
    name: 'the same in German, where nouns have capitals as well',
    text: 'Hallo Jürgen, hier ist Dörte Feldner von der Druckerei Oberau, meine neue Handynummer ist 0151 2345678.',
    values: ['name: Dörte Feldner', 'organisation: Druckerei Oberau', 'mobile: +491512345678'],
  },
  {
    name: 'the same in French, with a small word for what sort of house it is',
    text: 'Bonjour Luc, c’est Hélène Fontier de l’atelier Beauclair. Mon nouveau numéro : 06 12 34 56 78.',
    country: 'FR',
    values: ['name: Hélène Fontier', 'organisation: atelier Beauclair', 'phone: +33612345678'],
  },
  {
    name: 'a sentence that introduces nobody',
    text: 'Hello Tom, this is Monday’s plan. I am Happy With It. Ring 020 7946 0123.',
    values: ['phone: +442079460123'],
  },
  {
    name: 'a signature in Arabic',
    text: 'مع خالص التحية\nفاطمة حسين\nمديرة التسويق\nشركة النيل للطباعة\nهاتف: 02 2345 6789\nجوال: 010 1234 5678',
    country: 'EG',
    values: [
      'name: فاطمة حسين',
      'organisation: شركة النيل للطباعة',
      'post: مديرة التسويق',
      'phone: +20223456789',
      'mobile: +201012345678',
    ],
  },
  {
    name: 'a signature in Vietnamese',
    text: 'Trân trọng,\nNguyễn Thị Hương\nTrưởng phòng Kinh doanh\nCông ty TNHH Sông Xanh\nĐT: 024 3825 1234\nDi động: 0912 345 678',
    values: [
      'name: Nguyễn Thị Hương',
      'organisation: Công ty TNHH Sông Xanh',
      'post: Trưởng phòng Kinh doanh',
      'phone: +842438251234',
      'mobile: +84912345678',
    ],
  },
  {
    name: 'a signature in the Chinese of Taiwan, with an extension',
    text: '順頌商祺\n陳美玲\n業務經理\n青河印刷股份有限公司\n電話:02-2345-6789 分機 12\n手機:0912-345-678',
    country: 'TW',
    values: [
      'name: 陳美玲',
      'organisation: 青河印刷股份有限公司',
      'post: 業務經理',
      'phone: +886223456789;ext=12',
      'mobile: +886912345678',
    ],
  },
  // RFC 3676 §4.3: the signature follows a line of "-- ".
  {
    name: 'what stands above the delimiter is not the signature',
    text: 'Tell Boris Below, Director, to ring 020 7946 0999.\n-- \nAnna Lund\nanna@lund.example',
    values: ['name: Anna Lund', 'mail: anna@lund.example'],
  },
  // RFC 3676 §4.5: quoted lines begin with >.
  {
    name: 'what is quoted is somebody else’s',
    text: 'Anna Lund\nanna@lund.example\n\n> Boris Below\n> boris@below.example',
    values: ['name: Anna Lund', 'mail: anna@lund.example'],
  },
  {
    name: 'the mail before is cut off at its head',
    text: 'Anna Lund\nanna@lund.example\n\nFrom: Boris Below <boris@below.example>\nSent: Monday\nTo: Anna\n\nBoris\n020 7946 0999',
    values: ['name: Anna Lund', 'mail: anna@lund.example'],
  },
  {
    name: 'invoice numbers, dates, prices and accounts are no telephone numbers',
    text: 'Anna Lund\nInvoice 0207 946 0999\nDate 03.11.2026\n€ 1 250 000 00\nIBAN GB33 0000 2020 1555 5555 55\nVAT 020 7946 0998',
    values: ['name: Anna Lund'],
  },
  {
    name: 'a label on the line above counts, and one behind the number too',
    text: 'Anna Lund\nFax:\n020 7946 0123\n020 7946 0456 (mobile)',
    values: ['name: Anna Lund', 'fax: +442079460123', 'mobile: +442079460456'],
  },
  {
    name: 'a bracketed 0 is not dialled from abroad (ITU-T E.123 §7.1, from memory)',
    text: 'Anna Lund\nTel +44 (0)20 7946 0123',
    values: ['name: Anna Lund', 'phone: +442079460123'],
  },
  {
    name: 'full-width figures and signs are figures and signs (Unicode NFKC)',
    text: '山田 太郎\n電話：０３－５５５０－０１２３\ntaro＠yamada．example',
    values: ['name: 山田 太郎', 'phone: +81355500123', 'mail: taro@yamada.example'],
  },
  {
    name: 'two addresses are two',
    text: 'Anna Lund\n1 High Street, Wexmere WX1 2AB\n2 Low Street, Wexford WX9 8ZZ',
    values: [
      ...['name: Anna Lund', 'street: 1 High Street', 'town: Wexmere', 'postcode: WX1 2AB', 'country: GB'],
      ...['street: 2 Low Street', 'town: Wexford', 'postcode: WX9 8ZZ', 'country: GB'],
    ],
  },
  { name: 'nothing gives nothing', text: ' \n\n', values: [] },
];
for (const { name, text, values, country } of cases)
  test(name, () => expect(read(text, country).toSorted()).toEqual(values.toSorted()));

const pieces = fc.constantFrom(
  ...[
    'Anna Lund',
    'Dr. Weiß',
    '+44 20 7946 0123',
    'Tel:',
    'a@b.example',
    '\n',
    ' | ',
    ', ',
    'GmbH',
    '20099 Hamburg',
    '-- \n',
  ],
  ...[
    '山田 太郎',
    '〒100-0001',
    '(',
    ')',
    '@',
    '>',
    '2026-11-03',
    'Street 5',
    'WX1 2AB',
    'www.x.example/é',
    '：',
    '\u2028',
    '😀',
  ],
);
const texts = fc.oneof(
  fc.string({ unit: 'grapheme' }),
  fc.array(pieces).map((all) => all.join('')),
  fc.string(),
);

test('whatever the text, marks lie in it in order, and the card is one', () => {
  fc.assert(
    fc.property(texts, fc.constantFrom(undefined, 'GB', 'DE', 'JP'), (text, country) => {
      const { card, marks } = extractCard(text, newCard('x', NOW), country === undefined ? {} : { country });
      let at = 0;
      for (const { start, end } of marks) {
        expect(start).toBeGreaterThanOrEqual(at);
        expect(end).toBeGreaterThan(start);
        at = end;
      }
      expect(at).toBeLessThanOrEqual(text.length);
      expect(parseCard(card)).toMatchObject({ card });
    }),
    { numRuns: 300 },
  );
});

test('plain text is as long as the text', () => {
  fc.assert(fc.property(texts, (text) => plainText(text).length === text.length));
});

test('a correction leaves marks in order and is what it says', () => {
  const fields = fc.constantFrom<SpanField | undefined>('name', 'organisation', 'post', 'phone', undefined);
  fc.assert(
    fc.property(texts, fc.nat(), fc.nat(), fields, (text, a, b, field) => {
      const [start, end] = [a % (text.length + 1), b % (text.length + 1)].toSorted((x, y) => x - y) as [
        number,
        number,
      ];
      if (start === end) return;
      const marks = correctSpans(text, findSpans(text), { start, end, field });
      const here = marks.filter((mark) => mark.start < end && start < mark.end);
      expect(here.map((mark) => mark.field)).toEqual(field === undefined ? [] : [field]);
      for (const [i, mark] of marks.entries())
        expect(mark.start).toBeGreaterThanOrEqual(marks[i - 1]?.end ?? 0);
    }),
    { numRuns: 300 },
  );
});

test('a name is said word by word, and takes the place of the one that was taken for it', () => {
  const text = 'Blue Lantern\nZy Qo Wu\n';
  const word = (value: string) => wordAt(text, text.indexOf(value)) ?? { start: 0, end: 0 };
  let marks = findSpans(text);
  for (const value of ['Zy', 'Qo', 'Wu'])
    marks = correctSpans(text, marks, { ...word(value), field: 'name' });
  marks = correctSpans(text, marks, { start: 0, end: 12, field: 'organisation' });
  expect(valuesOf(cardFromSpans(text, marks, newCard('x', NOW)))).toEqual([
    'name: Zy Qo Wu',
    'organisation: Blue Lantern',
  ]);
});

test('a word is found where it is pressed, and none between words', () => {
  expect(wordAt('Anna, Lund', 2)).toEqual({ start: 0, end: 4 });
  expect(wordAt('Anna, Lund', 4)).toBeUndefined();
  expect(wordAt('Anna', 9)).toBeUndefined();
});
