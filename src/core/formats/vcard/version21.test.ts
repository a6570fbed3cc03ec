// vCard 2.1 (versit Consortium, 1996; its examples from memory) as old phones and mail programs write it.
import { encodeUtf8 } from '@/core/base';

import { readVcard } from './readVcard';

const read = (...lines: string[]) => readVcard(encodeUtf8(lines.join('\r\n')));
const card = (...lines: string[]) =>
  read('BEGIN:VCARD', 'VERSION:2.1', 'N:Lowther;Ada', ...lines, 'END:VCARD').cards[0];
const byteText = (text: string) => Uint8Array.from(text, (char) => char.charCodeAt(0));

const values = [
  {
    name: 'quoted-printable with soft breaks, which need no indent',
    lines: ['NOTE;ENCODING=QUOTED-PRINTABLE:first=0D=0Aseco=', 'nd; a =3D sign=', ''],
    notes: ['first\nsecond; a = sign'],
  },
  {
    name: 'quoted-printable without ENCODING=',
    lines: ['NOTE;QUOTED-PRINTABLE;CHARSET=UTF-8:Z=C3=BCrich'],
    notes: ['Zürich'],
  },
  {
    name: 'ISO-8859-1 by CHARSET',
    lines: ['NOTE;CHARSET=ISO-8859-1;ENCODING=QUOTED-PRINTABLE:Z=FCrich'],
    notes: ['Zürich'],
  },
  {
    name: 'windows-1252 by CHARSET',
    lines: ['NOTE;CHARSET=windows-1252;ENCODING=QUOTED-PRINTABLE:=80 5 =96 7'],
    notes: ['€ 5 – 7'],
  },
  {
    name: 'Shift_JIS by CHARSET (WHATWG Encoding)',
    lines: ['NOTE;CHARSET=SHIFT_JIS;ENCODING=QUOTED-PRINTABLE:=93=63=92=86'],
    notes: ['田中'],
  },
  {
    name: 'an encoding nobody knows is read as what its bytes are',
    lines: ['NOTE;CHARSET=X-OWN;ENCODING=QUOTED-PRINTABLE:Z=C3=BCrich'],
    notes: ['Zürich'],
  },
  {
    name: 'a wrong code stays as it is',
    lines: ['NOTE;ENCODING=QUOTED-PRINTABLE:100=%, =ZZ'],
    notes: ['100=%, =ZZ'],
  },
  {
    name: 'a soft break before the end of the card costs nothing',
    lines: ['NOTE;ENCODING=QUOTED-PRINTABLE:cut ='],
    notes: ['cut ='],
  },
  { name: 'a comma is a plain character', lines: ['NOTE:one, two'], notes: ['one, two'] },
  { name: 'the space of a fold belongs to the text', lines: ['NOTE:one', ' two'], notes: ['one two'] },
];
for (const { name, lines, notes } of values) {
  test(`2.1: ${name}`, () => {
    expect(Object.values(card(...lines)?.notes ?? {}).map(({ note }) => note)).toEqual(notes);
  });
}

test('2.1: bare types are read as types', () => {
  expect(card('TEL;HOME;CELL;PREF:555 0100', 'EMAIL;INTERNET:a@example.org')).toMatchObject({
    phones: {
      p1: { number: '555 0100', contexts: { private: true }, features: { mobile: true }, pref: 1 },
    },
    emails: { e1: { address: 'a@example.org' } },
  });
});

test('2.1: a comma in a name or an address is no list', () => {
  const read21 = card('ADR;WORK:;;Quay 3, second floor;Wexmere;;;', 'ORG:Ek, Lund and Sons;Pianos');
  expect(read21?.addresses?.['a1']?.components?.[0]).toEqual({ kind: 'name', value: 'Quay 3, second floor' });
  expect(read21?.organizations?.['g1']).toEqual({ name: 'Ek, Lund and Sons', units: [{ name: 'Pianos' }] });
});

const photos = [
  { name: 'folded', lines: ['PHOTO;ENCODING=BASE64;TYPE=GIF:', ' R0lGODlhAQAB', ' AIAAAAUEBAAA', ''] },
  { name: 'bare', lines: ['PHOTO;GIF;BASE64:R0lGODlhAQAB', '  AIAAAAUEBAAA', ''] },
  { name: 'not indented', lines: ['PHOTO;ENCODING=BASE64;GIF:R0lGODlhAQAB', 'AIAAAAUEBAAA', ''] },
];
for (const { name, lines } of photos) {
  test(`2.1: a photo in base64, ${name}`, () => {
    const found = card(...lines, 'TEL:1');
    expect(found?.media?.['m1']).toEqual({
      kind: 'photo',
      uri: 'data:image/gif;base64,R0lGODlhAQABAIAAAAUEBAAA',
    });
    expect(found?.phones?.['p1']?.number).toBe('1');
  });
}

test('2.1: an agent nested in a card is a card of its own, related to it', () => {
  const { cards, problems } = read(
    'BEGIN:VCARD',
    'VERSION:2.1',
    'N:Ek;Bo',
    'AGENT:',
    'BEGIN:VCARD',
    'VERSION:2.1',
    'N:Lowther;Ada',
    'UID:ada',
    'END:VCARD',
    'TEL:1',
    'END:VCARD',
  );
  expect(problems).toEqual([]);
  expect(cards.map((one) => one.name?.components?.[0]?.value)).toEqual(['Ada', 'Bo']);
  expect(cards[1]).toMatchObject({ relatedTo: { ada: { relation: { agent: true } } }, phones: { p1: {} } });
});

test('RFC 2426 §3.5.4: an agent as text in 3.0 is a card of its own too', () => {
  const { cards } = read(
    'BEGIN:VCARD',
    'VERSION:3.0',
    'FN:Bo Ek',
    'AGENT:BEGIN:VCARD\\nFN:Susan Thomas\\nTEL:+1-919-555-',
    ' 1234\\nEMAIL\\;INTERNET:sthomas@example.org\\nEND:VCARD\\n',
    'END:VCARD',
  );
  expect(cards).toHaveLength(2);
  expect(cards[0]).toMatchObject({
    name: { full: 'Susan Thomas' },
    phones: { p1: { number: '+1-919-555-1234' } },
    emails: { e1: { address: 'sthomas@example.org' } },
  });
  expect(cards[1]?.relatedTo).toEqual({ [cards[0]?.uid ?? '']: { relation: { agent: true } } });
});

test('cards nested without end are read so far, and never exhaust the stack', () => {
  const deep = Array.from({ length: 3000 }, () => 'BEGIN:VCARD\r\nAGENT:').join('\r\n');
  expect(() => read(deep, 'FN:x', 'END:VCARD')).not.toThrow();
});

test('a line in another encoding is read by its CHARSET, in a file of several encodings', () => {
  const bytes = byteText(
    'BEGIN:VCARD\nVERSION:2.1\nFN;CHARSET=ISO-8859-2:\xa3ucja\nNOTE;CHARSET=UTF-8:Z\xc3\xbcrich\nEND:VCARD\n',
  );
  const [found] = readVcard(bytes).cards;
  expect([found?.name?.full, found?.notes?.['o1']?.note]).toEqual(['Łucja', 'Zürich']);
});
