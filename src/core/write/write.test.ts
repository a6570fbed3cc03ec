import PostalMime from 'postal-mime';

import { type Card, newCard, parseName } from '@/core/card';
import { newList, withAddress, withMembers, withReach } from '@/core/lists';

import { findRecipients } from './findRecipients';
import { formatMailbox } from './formatMailbox';
import { writeMailto } from './writeMailto';
import { writeMessage } from './writeMessage';

const person = (uid: string, full: string, ...mails: string[]): Card => ({
  ...newCard(uid, '2026-01-01T00:00:00Z'),
  ...{ kind: 'individual', name: parseName(full) ?? {} },
  ...(mails.length === 0
    ? {}
    : { emails: Object.fromEntries(mails.map((address, i) => [`e${i + 1}`, { address }])) }),
});
const ADA = person('ada', 'Ada Lowther', 'ada@example.org', 'octet@example.org');
const BO = person('bo', 'Bo Ek', 'bo@example.org');
const CY = person('cy', 'Cy Lund');
const OLD = { ...person('old', 'Old Box', 'old@example.org'), 'cordialis.example:archived': true };
const cards = new Map([ADA, BO, CY, OLD].map((card) => [card.uid, card]));
const find = (to: Parameters<typeof findRecipients>[0], addressOf = {}) =>
  findRecipients(to, (uid) => cards.get(uid), addressOf);
const patrons = withReach(
  withMembers(newList('l', 'Patrons', '2026-01-01T00:00:00Z'), ['ada', 'bo']),
  'ada',
  {
    emailId: 'e2',
  },
);

test('a list opens into its people, each once, at the address chosen for the list', () => {
  const list = { kind: 'list' as const, list: patrons, members: ['ada', 'bo', 'cy', 'old'] };
  const { people, unreachable, archived } = find([list, { kind: 'card', uid: 'bo' }, list]);
  expect(people.map(({ key, address }) => [key, address])).toEqual([
    ['ada', 'octet@example.org'],
    ['bo', 'bo@example.org'],
  ]);
  expect([unreachable, archived]).toEqual([['cy'], ['old']]);
});

test('an address that was chosen for this message goes before; one that isn’t on the card doesn’t', () => {
  const of = (address: string) => find([{ kind: 'card', uid: 'ada' }], { ada: address }).people[0]?.address;
  expect([of('octet@example.org'), of('elsewhere@example.org')]).toEqual([
    'octet@example.org',
    'ada@example.org',
  ]);
});

test('an address without a card, typed or on a list, comes once, and not beside the card that has it', () => {
  const list = withAddress(patrons, 'box@example.org');
  const { people } = find([
    { kind: 'card', uid: 'bo' },
    { kind: 'address', address: 'BO@example.org', name: '' },
    { kind: 'list', list, members: [] },
    { kind: 'address', address: 'box@example.org', name: 'Box' },
  ]);
  expect(people.map(({ address }) => address)).toEqual(['bo@example.org', 'box@example.org']);
});

// RFC 5322 §3.4 and appendix A.1.2 for quoting; from memory.
const mailboxes: readonly [name: string, written: string][] = [
  ['', 'a@example.org'],
  ['Mary Smith', 'Mary Smith <a@example.org>'],
  ['Joe Q. Public', '"Joe Q. Public" <a@example.org>'],
  ['Giant; "Big" Box', '"Giant; \\"Big\\" Box" <a@example.org>'],
  ['Götz', '=?UTF-8?B?R8O2dHo=?= <a@example.org>'],
];
for (const [name, written] of mailboxes)
  test(`a mailbox of “${name}” is written as RFC 5322 has it`, () =>
    expect(formatMailbox({ name, address: 'a@example.org' })).toBe(written));

const MESSAGE = {
  to: [{ name: 'Ada Lowther', address: 'ada@example.org' }],
  cc: [
    { name: 'Łukasz Żółw', address: 'l@example.org' },
    { name: '小川 美音, Viola', address: 'v@example.org' },
  ],
  bcc: [{ name: '', address: 'b@example.org' }],
  subject: 'Probe im neuen Saal – ä wie Änderung, und noch etwas mehr, damit es zu lang wird',
  body: `Dear Ada,\n\nfee = 100 €\ntrailing space \n${'long '.repeat(40)}\n小川`,
};
const STAMP = { date: 'Thu, 26 Nov 2026 10:00:00 +0000', messageId: 'm1@cordialis.example' };

// postal-mime is the reader: another's program has to get back what was written.
test('a message file is read back by another program as it was meant', async () => {
  const text = writeMessage(MESSAGE, STAMP);
  const read = await PostalMime.parse(text);
  expect(read.subject).toBe(MESSAGE.subject);
  expect(read.to).toMatchObject(MESSAGE.to);
  expect(read.cc).toMatchObject(MESSAGE.cc);
  expect(read.bcc).toMatchObject([{ address: 'b@example.org' }]);
  expect(read.text?.replace(/\r\n/g, '\n').trimEnd()).toBe(MESSAGE.body);
  // RFC 5322 §2.1.1: 78 letters, and nothing but ASCII.
  expect(text.split('\r\n').filter((line) => line.length > 78 || !/^[\x20-\x7e\t]*$/.test(line))).toEqual([]);
});

test('a name or a subject can’t bring a header of its own', () => {
  const evil = 'Ada\r\nBcc: all@example.org';
  const text = writeMessage(
    { ...MESSAGE, subject: evil, to: [{ name: evil, address: 'a@x.org\r\nX: y' }] },
    STAMP,
  );
  expect(text.split('\r\n').filter((line) => /^(Bcc|X):/.test(line))).toEqual(['Bcc: b@example.org']);
});

test('an address to open has everything in it, escaped (RFC 6068 §2 and §5)', () => {
  const message = { ...MESSAGE, subject: 'A & B', body: 'one\ntwo?' };
  expect(writeMailto(message)).toBe(
    'mailto:ada@example.org?cc=l@example.org,v@example.org&bcc=b@example.org&subject=A%20%26%20B&body=one%0D%0Atwo%3F',
  );
});

test('attached files come back whole from another reader, whatever their names and contents', async () => {
  const files = [
    { name: 'Ada Lowther.vcf', type: 'text/vcard', text: 'BEGIN:VCARD\r\nFN:Ada\r\nEND:VCARD\r\n' },
    { name: 'Żółw "x".vcf', type: 'text/vcard', text: `--=_a\n${'Łódź '.repeat(80)}` },
    { name: 'empty.vcf', type: 'text/vcard', text: '' },
  ];
  const message = { to: [], cc: [], bcc: [], subject: 'Cards', body: '--=_1\nhere they are: é' };
  const stamp = { date: 'Thu, 26 Nov 2026 10:00:00 +0000', messageId: '1@cordialis.example' };
  const text = writeMessage(message, stamp, files);
  const read = await PostalMime.parse(text);
  expect(read.text?.trim()).toBe(message.body);
  const octets = (content: unknown) => Buffer.from(content as ArrayBuffer).toString('utf8');
  expect(
    read.attachments.map(({ filename, mimeType, content }) => [filename, mimeType, octets(content)]),
  ).toEqual(files.map((file) => [file.name, file.type, file.text]));
  for (const line of text.split('\r\n')) expect(line.length).toBeLessThanOrEqual(998);
});

test('without a preferred address the one that was used last is used; a preferred one, and one for the list, go before', () => {
  const used = { ada: 'octet@example.org', bo: 'gone@example.org' };
  const at = (to: Parameters<typeof findRecipients>[0], get = (uid: string) => cards.get(uid)) =>
    findRecipients(to, get, {}, used).people.map(({ address }) => address);
  expect(at([{ kind: 'card', uid: 'ada' }])).toEqual(['octet@example.org']);
  expect(at([{ kind: 'card', uid: 'bo' }])).toEqual(['bo@example.org']);
  const preferring: Card = { ...ADA, emails: { ...ADA.emails, e1: { address: 'ada@example.org', pref: 1 } } };
  expect(at([{ kind: 'card', uid: 'ada' }], () => preferring)).toEqual(['ada@example.org']);
  expect(at([{ kind: 'list', list: patrons, members: ['ada'] }], () => preferring)).toEqual([
    'octet@example.org',
  ]);
});
