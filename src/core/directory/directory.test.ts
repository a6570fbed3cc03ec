import { type Card, newCard, parseName } from '@/core/card';

import { isInForce, ROLES } from './directoryEntry';
import { DIRECTORY_ACTS, mayDo, maySee } from './mayDo';
import { writeLdif } from './writeLdif';

const now = '2026-01-01T00:00:00Z';
const person = (full: string, more: Partial<Card> = {}): Card => ({
  ...newCard('p1', now),
  ...{ kind: 'individual', name: parseName(full) ?? {} },
  ...more,
});

/** Reads LDIF as RFC 2849 says: folded lines put together, base64 taken apart. */
function readLdif(text: string): [string, string][][] {
  const unfolded = text.replace(/\r?\n /g, '');
  return unfolded
    .split(/\n\n+/)
    .slice(1)
    .map((record) =>
      record
        .trim()
        .split('\n')
        .map((line): [string, string] => {
          const [, name = '', kind = '', value = ''] = /^([\w;-]+)(::?) ?(.*)$/.exec(line) ?? [];
          return [name, kind === '::' ? Buffer.from(value, 'base64').toString('utf8') : value];
        }),
    );
}

// RFC 2849 example 1 has an entry of plain attributes; its values, with the people replaced.
test('a person in ASCII stands as it is, attribute by attribute', () => {
  const card = person('Ada Lowther', {
    titles: { t1: { name: 'Product Manager' } },
    phones: { p1: { number: '+1 408 555 0112' } },
    emails: { e1: { address: 'ada@airius.example' } },
  });
  expect(writeLdif([card], 'ou=directory')).toBe(
    [
      ...['version: 1', '', 'dn: uid=p1,ou=directory', 'objectClass: inetOrgPerson', 'uid: p1'],
      ...['cn: Ada Lowther', 'sn: Lowther', 'givenName: Ada', 'displayName: Ada Lowther'],
      ...['title: Product Manager', 'mail: ada@airius.example', 'telephoneNumber: +1 408 555 0112', ''],
    ].join('\n'),
  );
});

// RFC 2849 example 3: the base64 of a value with a carriage return is given there.
test('what isn’t safe is base64, as in the RFC’s own example', () => {
  const described =
    'What a careful reader you are!  This value is base-64-encoded because it has a control character in it (a CR).\r  By the way, you should really get out more.';
  const line = writeLdif([person('Bo Ek', { titles: { t1: { name: described } } })], 'ou=x')
    .replace(/\n /g, '')
    .split('\n')
    .find((one) => one.startsWith('title:'));
  expect(line).toBe(
    'title:: V2hhdCBhIGNhcmVmdWwgcmVhZGVyIHlvdSBhcmUhICBUaGlzIHZhbHVlIGlzIGJhc2UtNjQtZW5jb2RlZCBiZWNhdXNlIGl0IGhhcyBhIGNvbnRyb2wgY2hhcmFjdGVyIGluIGl0IChhIENSKS4NICBCeSB0aGUgd2F5LCB5b3Ugc2hvdWxkIHJlYWxseSBnZXQgb3V0IG1vcmUu',
  );
});

const values = [
  'Łukasz Żak',
  '小笠原 ロドニー',
  ' leading',
  ':colon',
  '<file:///etc/passwd',
  'ends ',
  'a\nb',
  'x'.repeat(300),
  'Müller, "Bo" + Co',
];
for (const value of values) {
  test(`${JSON.stringify(value.slice(0, 20))} comes back as it was, in lines of 76`, () => {
    const text = writeLdif([person('Ada Lowther', { titles: { t1: { name: value } } })], 'ou=directory');
    for (const line of text.split('\n')) expect(line.length).toBeLessThanOrEqual(76);
    expect(text).toMatch(/^[\x0a\x20-\x7e]*$/);
    expect(readLdif(text)[0]).toContainEqual(['title', value]);
  });
}

test('the name of an entry can’t reach out of its place', () => {
  const text = writeLdif([{ ...person('Ada Lowther'), uid: 'a,ou=admins+x="1"' }], 'ou=directory');
  expect(text).toContain('dn: uid=a\\,ou\\=admins\\+x\\=\\"1\\",ou=directory');
});

test('an organisation is one, with a postal address in one value', () => {
  const house: Card = {
    ...newCard('h', now),
    ...{ kind: 'org', name: { full: 'Brine & Bellows' } },
    addresses: { a1: { full: '1 Quay $treet\nWexmere' } },
  };
  const [record = []] = readLdif(writeLdif([house], 'ou=directory'));
  expect(record).toContainEqual(['objectClass', 'organization']);
  expect(record).toContainEqual(['postalAddress', '1 Quay \\24treet$Wexmere']);
});

test('each role may do less than the one before, and everybody may read', () => {
  const allowed = ROLES.map((role) => DIRECTORY_ACTS.filter((act) => mayDo(role, act)));
  expect(allowed[0]).toEqual([...DIRECTORY_ACTS]);
  expect(allowed[1]).toEqual(['read', 'export', 'edit', 'import', 'seeHidden']);
  expect(allowed[2]).toEqual(['read', 'export']);
});

const seen: { entry: Parameters<typeof maySee>[1]; reader: boolean; editor: boolean }[] = [
  { entry: { isInside: true, isHidden: false }, reader: true, editor: true },
  { entry: { isInside: true, isHidden: true }, reader: false, editor: true },
  { entry: { isInside: false, isHidden: false, validFrom: '2026-06-02' }, reader: false, editor: true },
  { entry: { isInside: false, isHidden: false, validFrom: '2026-06-01' }, reader: true, editor: true },
  { entry: { isInside: false, isHidden: false, validTo: '2026-06-01' }, reader: true, editor: true },
  { entry: { isInside: false, isHidden: false, validTo: '2026-05-31' }, reader: false, editor: true },
];
for (const { entry, reader, editor } of seen) {
  test(`on 1 June, ${JSON.stringify(entry)} is found by a reader: ${reader}`, () => {
    expect(maySee('reader', entry, '2026-06-01')).toBe(reader);
    expect(maySee('editor', entry, '2026-06-01')).toBe(editor);
    expect(isInForce({}, '2026-06-01')).toBe(true);
  });
}
