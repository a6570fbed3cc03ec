// Sources: RFC 2047 §8 (encoded words), RFC 5322 appendix A (headers, dates), RFC 4155 appendix A (mbox); times of dates
// by the platform's own Date.
import fc from 'fast-check';

import { encodeUtf8 } from '@/core/base';

import { mergeUnfiled, type Unfiled } from '../unfiled';
import { type MailPart, MailSplitter } from './mailSplitter';
import { type MailHead, parseMailDate, readMailHead } from './readMailHead';
import { type Correspondence, type TalkMatcher, toCorrespondence } from './toCorrespondence';

const head = (...lines: string[]) => {
  const text = ['From: bo@example.org', 'Date: Wed, 25 Nov 2026 10:00:00 +0000', ...lines].join('\r\n');
  return readMailHead(encodeUtf8(`${text}\r\n`));
};
const decode = (octets: Uint8Array) => Buffer.from(octets).toString('utf8');

// RFC 2047 §8: what is written in a comment there, here in a subject.
const words: [written: string, shown: string][] = [
  ['=?ISO-8859-1?Q?a?=', 'a'],
  ['=?ISO-8859-1?Q?a?= b', 'a b'],
  ['=?ISO-8859-1?Q?a?= =?ISO-8859-1?Q?b?=', 'ab'],
  ['=?ISO-8859-1?Q?a?=  =?ISO-8859-1?Q?b?=', 'ab'],
  ['=?ISO-8859-1?Q?a?=\r\n    =?ISO-8859-1?Q?b?=', 'ab'],
  ['=?ISO-8859-1?Q?a_b?=', 'a b'],
  ['=?ISO-8859-1?Q?a?= =?ISO-8859-2?Q?_b?=', 'a b'],
  [
    '=?ISO-8859-1?B?SWYgeW91IGNhbiByZWFkIHRoaXMgeW8=?=\r\n =?ISO-8859-2?B?dSB1bmRlcnN0YW5kIHRoZSBleGFtcGxlLg==?=',
    'If you can read this you understand the example.',
  ],
];
for (const [written, shown] of words)
  test(`an encoded word: ${JSON.stringify(written)}`, () =>
    expect(head(`Subject: ${written}`)?.subject).toBe(shown));

test('names in headers: RFC 2047 §8, encoded, quoted, with comments', () => {
  const mail = readMailHead(
    encodeUtf8(
      [
        'From: =?US-ASCII?Q?Keith_Moore?= <moore@example.edu>',
        'To: =?ISO-8859-1?Q?Keld_J=F8rn_Simonsen?= <keld@example.net>,',
        ' "Quast, Cy" <cy@example.org>',
        'CC: =?ISO-8859-1?Q?Andr=E9?= Pirard <PIRARD@example.ac>, Players: a@example.org, b@example.org;',
        'Date: Fri, 21 Nov 1997 09:55:06 -0600',
        'Message-ID: <1234@local.machine.example>',
        '',
      ].join('\r\n'),
    ),
  );
  expect(mail?.from).toEqual([{ name: 'Keith Moore', address: 'moore@example.edu' }]);
  expect(mail?.to).toEqual([
    { name: 'Keld Jørn Simonsen', address: 'keld@example.net' },
    { name: 'Quast, Cy', address: 'cy@example.org' },
  ]);
  expect(mail?.cc.map(({ name, address }) => `${name} ${address}`)).toEqual([
    'André Pirard PIRARD@example.ac',
    ' a@example.org',
    ' b@example.org',
  ]);
  expect(mail?.messageId).toBe('1234@local.machine.example');
});

// RFC 5322 appendix A.1.1, A.5, A.6.2; the zones of §4.3.
const dates: [written: string, utc: string | undefined][] = [
  ['Fri, 21 Nov 1997 09:55:06 -0600', '1997-11-21T15:55:06Z'],
  [
    'Thu,\r\n      13\r\n        Feb\r\n          1969\r\n      23:32\r\n               -0330 (Newfoundland Time)',
    '1969-02-14T03:02:00Z',
  ],
  ['21 Nov 97 09:55:06 GMT', '1997-11-21T09:55:06Z'],
  ['Tue, 1 Jul 2003 10:52:37 +0200', '2003-07-01T08:52:37Z'],
  ['Tue, 01 Jul 03 10:52 PDT', '2003-07-01T17:52:00Z'],
  ['yesterday', undefined],
  ['1 Foo 2003 10:52', undefined],
];
for (const [written, utc] of dates)
  test(`a date: ${JSON.stringify(written)}`, () =>
    expect(parseMailDate(written.replace(/\r\n/g, ''))).toBe(
      utc === undefined ? undefined : Date.parse(utc),
    ));

test('what has no sender or no date is no message', () => {
  expect(readMailHead(encodeUtf8('Subject: x\r\n'))).toBeUndefined();
  expect(readMailHead(encodeUtf8('From: bo@example.org\r\nDate: soon\r\n'))).toBeUndefined();
});

test('octets that are no UTF-8 are read as ISO 8859-1', () => {
  const octets = Buffer.from(
    'From: Bj\xf6rn <b@example.org>\r\nDate: 1 Jul 2003 10:52:37 +0000\r\n',
    'latin1',
  );
  expect(readMailHead(octets)?.from[0]?.name).toBe('Björn');
});

function split(octets: Uint8Array, sizes: readonly number[], withBodies = false): MailPart[] {
  const parts: MailPart[] = [];
  const splitter = new MailSplitter({ withBodies, onMail: (part) => parts.push(part) });
  let at = 0;
  for (let i = 0; at < octets.length; i += 1) {
    const size = Math.max(1, sizes[i % Math.max(1, sizes.length)] ?? octets.length);
    splitter.push(octets.subarray(at, at + size));
    at += size;
  }
  splitter.end();
  return parts;
}

const mbox = [
  'From bo@example.org Wed Nov 25 10:00:00 2026',
  'Subject: one',
  '',
  'A body with a line',
  'From here it goes on, as no empty line came before.',
  '',
  'From ada@example.org Wed Nov 25 11:00:00 2026',
  'Subject: two',
  '',
  '>From is quoted',
  '',
].join('\n');

test('an mbox is cut at its "From " lines, and only where an empty line comes before', () => {
  const parts = split(encodeUtf8(mbox), [], true);
  expect(parts.map((part) => decode(part.head).trim())).toEqual(['Subject: one', 'Subject: two']);
  expect(decode(parts[0]?.body ?? new Uint8Array())).toContain('From here it goes on');
});

test('a single message is one message, with or without a line feed at its end', () => {
  for (const end of ['', '\r\n'])
    expect(split(encodeUtf8(`Subject: x\r\n\r\nbody${end}`), []).map((part) => decode(part.head))).toEqual([
      'Subject: x\r\n',
    ]);
});

test('law: however the stream is cut, the messages are the same', () => {
  const line = fc.constantFrom('', 'From x', 'Subject: a', ' folded', '>From', 'From: b@example.org', '\r');
  fc.assert(
    fc.property(
      fc.array(line, { maxLength: 30 }),
      fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 1, maxLength: 8 }),
      fc.boolean(),
      (lines, sizes, withBodies) => {
        const octets = encodeUtf8(lines.join('\n'));
        const shown = (parts: MailPart[]) => parts.map((part) => [decode(part.head), decode(part.body)]);
        expect(shown(split(octets, sizes, withBodies))).toEqual(shown(split(octets, [], withBodies)));
      },
    ),
  );
});

const matcher: TalkMatcher = {
  own: new Set(['me@example.org']),
  uidsOf: (address) => ({ 'bo@example.org': ['bo'], 'desk@example.org': ['a', 'b'] })[address] ?? [],
  toOwnMoment: (ms) => {
    const iso = new Date(ms).toISOString();
    return { day: iso.slice(0, 10), time: iso.slice(11, 16) };
  },
  intake: 'x',
};
const mail = (some: Partial<MailHead>): MailHead => ({
  ...{ messageId: 'id@x', atMs: Date.parse('2026-11-25T10:00:00Z'), subject: 'Fee' },
  ...{ from: [], to: [], cc: [], bcc: [], ...some },
});
const box = (address: string, name = '') => ({ name, address });

const correspondences: {
  name: string;
  mail: MailHead;
  expected: [Correspondence['talk']['direction'], string[], string[]];
}[] = [
  {
    name: 'what I wrote goes out to all who have a card; who has none is unfiled',
    mail: mail({
      from: [box('Me@Example.org')],
      to: [box('BO@example.org')],
      cc: [box('new@example.org', 'Nia New')],
      bcc: [box('desk@example.org')],
    }),
    expected: ['out', ['bo', 'a', 'b'], ['new@example.org']],
  },
  {
    name: 'what came is with its sender only, and an unknown sender is not unfiled',
    mail: mail({ from: [box('bo@example.org')], to: [box('me@example.org')], cc: [box('x@example.org')] }),
    expected: ['in', ['bo'], []],
  },
  {
    name: 'what came from nobody known is with nobody',
    mail: mail({ from: [box('x@example.org')], to: [box('me@example.org')] }),
    expected: ['in', [], []],
  },
];
for (const { name, mail: one, expected } of correspondences)
  test(`a message as a talk: ${name}`, () => {
    const { talk, unfiled } = toCorrespondence(one, matcher);
    expect([talk.direction, talk.with, unfiled.map(({ address }) => address)]).toEqual(expected);
    expect(talk).toMatchObject({ day: '2026-11-25', time: '10:00', about: 'Fee', kind: 'mail', intake: 'x' });
  });

test('the same message has the same id, another another; without a Message-ID too', () => {
  const id = (one: MailHead) => toCorrespondence(one, matcher).talk.id;
  const from = [box('bo@example.org')];
  expect(id(mail({ from }))).toBe(id(mail({ from, subject: 'Re: Fee' })));
  expect(id(mail({ from, messageId: 'other' }))).not.toBe(id(mail({ from })));
  expect(id(mail({ from, messageId: '' }))).not.toBe(id(mail({ from, messageId: '', subject: 'Other' })));
});

test('unfiled: counted once, the fullest name, the latest day', () => {
  const talk = (id: string, day: string) =>
    toCorrespondence(mail({ messageId: id }), matcher).talk && {
      ...toCorrespondence(mail({ messageId: id }), matcher).talk,
      day,
    };
  const one: Unfiled = {
    ...{ address: 'n@example.org', name: '', count: 2, last: '2026-11-02' },
    talks: [talk('1', '2026-11-01'), talk('2', '2026-11-02')],
  };
  const more: Unfiled = {
    ...{ address: 'n@example.org', name: 'Nia New', count: 2, last: '2026-11-03' },
    talks: [talk('2', '2026-11-02'), talk('3', '2026-11-03')],
  };
  const both = mergeUnfiled(mergeUnfiled(undefined, one), more);
  expect([both.name, both.count, both.last, both.talks.length]).toEqual(['Nia New', 3, '2026-11-03', 3]);
  expect(mergeUnfiled(both, more)).toEqual(both);
});
